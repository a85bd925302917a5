import { answerPasswordRequest, onPasswordWanted, passwordGiven } from './password-request.js';

describe('a password that is asked for', () => {
  it('is asked once for all calls that wait, and all of them go on', async () => {
    const heard: boolean[] = [];
    const stop = onPasswordWanted((wanted) => heard.push(wanted));
    const waiting = [passwordGiven(), passwordGiven()];
    answerPasswordRequest(true);
    expect(await Promise.all(waiting)).toEqual([true, true]);
    expect(heard).toEqual([false, true, false]);
    stop();
  });

  it('is asked again for the next call, and may be refused', async () => {
    const first = passwordGiven();
    answerPasswordRequest(false);
    const second = passwordGiven();
    answerPasswordRequest(true);
    expect(await Promise.all([first, second])).toEqual([false, true]);
  });

  it('is asked by a page that opens meanwhile', () => {
    void passwordGiven();
    const heard: boolean[] = [];
    onPasswordWanted((wanted) => heard.push(wanted))();
    answerPasswordRequest(false);
    expect(heard).toEqual([true]);
  });
});
