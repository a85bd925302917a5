import { retryingDeadlocks } from './deadlock.js';

const deadlock = (): Error =>
  Object.assign(new Error('Deadlock found when trying to get lock'), { code: 'ER_LOCK_DEADLOCK' });

describe('work that was chosen to give way', () => {
  it('is done again, and its value returned', async () => {
    let tries = 0;
    expect(await retryingDeadlocks(() => (++tries < 3 ? Promise.reject(deadlock()) : Promise.resolve('done')))).toBe(
      'done',
    );
    expect(tries).toBe(3);
  });

  it('is given up after the fifth time, and at once for any other reason', async () => {
    let tries = 0;
    await expect(retryingDeadlocks(() => (tries++, Promise.reject(deadlock())))).rejects.toThrow('Deadlock');
    expect(tries).toBe(5);
    tries = 0;
    await expect(retryingDeadlocks(() => (tries++, Promise.reject(new Error('gone'))))).rejects.toThrow('gone');
    expect(tries).toBe(1);
  });
});
