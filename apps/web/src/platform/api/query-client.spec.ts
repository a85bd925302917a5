import { QueryObserver } from '@tanstack/react-query';
import { makeQueryClient } from './query-client.js';

describe('what is shown', () => {
  it('is asked for again after a change, also while it was being asked for the first time', async () => {
    const client = makeQueryClient();
    const answers: ((value: string) => void)[] = [];
    const observer = new QueryObserver(client, {
      queryKey: ['lessons'],
      queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
    });
    const stop = observer.subscribe(() => undefined);
    expect(answers).toHaveLength(1);
    // The change is made while the first answer is on its way, and that answer does not know of it.
    const invalidated = client.invalidateQueries();
    await new Promise(process.nextTick);
    answers[0]?.('before the change');
    await new Promise(process.nextTick);
    answers[1]?.('after the change');
    await invalidated;
    expect([answers.length, observer.getCurrentResult().data]).toEqual([2, 'after the change']);
    stop();
    client.clear();
  });

  it('is left alone where the change is about something else', async () => {
    const client = makeQueryClient();
    const answers: ((value: string) => void)[] = [];
    const observer = new QueryObserver(client, {
      queryKey: ['devices'],
      queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
    });
    const stop = observer.subscribe(() => undefined);
    await client.invalidateQueries({ queryKey: ['lessons'] });
    answers[0]?.('tablets');
    await new Promise(process.nextTick);
    await new Promise(process.nextTick);
    expect([answers.length, observer.getCurrentResult().data]).toEqual([1, 'tablets']);
    stop();
    client.clear();
  });
});
