import fc from 'fast-check';
import { ApiError } from './problem-error.js';
import { SaveQueue } from './save-queue.js';

/** A server that is there or not, and what was sent to it. */
function scene() {
  const returns: (() => void)[] = [];
  const server = {
    away: false,
    isAway: () => server.away,
    onReturn: (listener: () => void) => {
      returns.push(listener);
      return () => undefined;
    },
    comeBack: () => {
      server.away = false;
      for (const listener of returns) listener();
    },
  };
  const made: string[] = [];
  const queue = new SaveQueue(server);
  const change = (name: string, refused = false): Promise<string> =>
    queue.add(() => {
      if (server.away) return Promise.reject(new ApiError('unreachable'));
      if (refused) return Promise.reject(new ApiError('stale'));
      made.push(name);
      return Promise.resolve(`made ${name}`);
    });
  return { server, queue, change, made };
}
const settled = async (): Promise<void> => {
  for (let round = 0; round < 20; round += 1) await Promise.resolve();
};

describe('changes', () => {
  it('are sent at once while the server is there, and failures are theirs', async () => {
    const { change, queue } = scene();
    await expect(change('a')).resolves.toBe('made a');
    await expect(change('b', true)).rejects.toMatchObject({ reason: 'stale' });
    expect(queue.count()).toBe(0);
  });

  it('wait while it is away, also the one that found it away, and are made in order', async () => {
    const { server, change, queue, made } = scene();
    const counts: number[] = [];
    queue.subscribe(() => counts.push(queue.count()));
    server.away = true;
    const all = [change('a'), change('b'), change('c')];
    await settled();
    expect([queue.count(), made]).toEqual([3, []]);
    server.comeBack();
    expect(await Promise.all(all)).toEqual(['made a', 'made b', 'made c']);
    expect([made, counts]).toEqual([
      ['a', 'b', 'c'],
      [1, 2, 3, 2, 1, 0],
    ]);
  });

  it('that are refused after they waited are told, and hold nobody up', async () => {
    const { server, change, queue } = scene();
    const heard: string[] = [];
    const leave = queue.onFailure((error) => heard.push((error as ApiError).reason));
    server.away = true;
    const refused = change('a', true);
    const other = change('b');
    server.comeBack();
    await expect(refused).rejects.toMatchObject({ reason: 'stale' });
    await expect(other).resolves.toBe('made b');
    leave();
    expect(heard).toEqual(['stale']);
  });

  it('are made once each and in order, whenever the server goes and comes back', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 12 }), async (isAway) => {
        const { server, change, made } = scene();
        const all: Promise<string>[] = [];
        for (const [index, away] of isAway.entries()) {
          if (away) server.away = true;
          else if (server.away) server.comeBack();
          all.push(change(String(index)));
          await settled();
        }
        server.comeBack();
        await Promise.all(all);
        expect(made).toEqual(isAway.map((_, index) => String(index)));
      }),
      { numRuns: 60 },
    );
  });
});
