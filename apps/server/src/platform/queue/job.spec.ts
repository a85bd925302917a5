import { Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { newId } from '../database/columns.js';
import { Job, type JobState } from './job.entity.js';
import { JobService } from './job.service.js';

describe('long work', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const jobsOf = (server: TestServer): JobService => server.app.get(JobService);
  const rows = (kind: string): Promise<Job[]> =>
    scene.server.dataSource.getRepository(Job).find({ where: { kind }, order: { id: 'ASC' } });
  const until = async (kind: string, state: JobState): Promise<Job> => {
    for (let attempt = 0; attempt < 200; attempt += 1) {
      const found = (await rows(kind)).find((job) => job.state === state);
      if (found) return found;
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
    throw new Error(`no job of kind ${kind} became ${state}: ${JSON.stringify(await rows(kind))}`);
  };

  it('is done once for each subject, however often it is asked for', async () => {
    const done: string[] = [];
    let open = (): void => undefined;
    const gate = new Promise<void>((resolve) => (open = resolve));
    jobsOf(scene.server).handle('once', async (subject) => {
      await gate;
      done.push(subject);
    });
    for (let count = 0; count < 3; count += 1) await jobsOf(scene.server).enqueue('once', 'a');
    await jobsOf(scene.server).enqueue('once', 'b');
    open();
    await until('once', 'done');
    while ((await rows('once')).some((job) => job.state !== 'done'))
      await new Promise((resolve) => setTimeout(resolve, 25));
    expect(done.sort()).toEqual(['a', 'b']);
  });

  it('waits for its time', async () => {
    const done: string[] = [];
    jobsOf(scene.server).handle('later', (subject) => {
      done.push(subject);
      return Promise.resolve();
    });
    await jobsOf(scene.server).enqueue('later', 'x', new Date(scene.server.clock.now().getTime() + 60_000));
    await new Promise((resolve) => setTimeout(resolve, 150));
    expect(done).toEqual([]);
    scene.server.clock.advance(60_001);
    jobsOf(scene.server).wake();
    await until('later', 'done');
    expect(done).toEqual(['x']);
  });

  it('is tried again after a failure, and given up after the third with its reason', async () => {
    let attempts = 0;
    jobsOf(scene.server).handle('fails', () => {
      attempts += 1;
      return Promise.reject(new Error(`attempt ${attempts} went wrong`));
    });
    await jobsOf(scene.server).enqueue('fails', 'x');
    for (const expected of [1, 2]) {
      while (attempts < expected || (await rows('fails'))[0]?.state !== 'waiting')
        await new Promise((resolve) => setTimeout(resolve, 25));
      scene.server.clock.advance(61_000);
      jobsOf(scene.server).wake();
    }
    expect(await until('fails', 'failed')).toMatchObject({
      attempts: 3,
      failure: expect.stringMatching(/^Error at job\.spec\.ts:\d+:\d+$/) as string,
    });
  });

  it('is taken up by another server when its own ends, and when its own was killed', async () => {
    const second = await TestServer.start({ database: scene.server.database });
    const told: string[] = [];
    jobsOf(second).handle('handed-on', async (_, stop) => {
      told.push('second began');
      await new Promise<void>((resolve) => stop.addEventListener('abort', () => resolve(), { once: true }));
      told.push('second was stopped');
    });
    await jobsOf(second).enqueue('handed-on', 'x');
    while (told.length === 0) await new Promise((resolve) => setTimeout(resolve, 25));
    await second.stop();
    expect(told).toEqual(['second began', 'second was stopped']);
    expect((await rows('handed-on'))[0]).toMatchObject({ state: 'waiting' });

    // Killed: its row says that it is worked on, until the lease runs out.
    await scene.server.dataSource
      .getRepository(Job)
      .update(
        { kind: 'handed-on' },
        { state: 'working', claim: null, leaseUntil: new Date(scene.server.clock.now().getTime() + 60_000) },
      );
    jobsOf(scene.server).handle('handed-on', () => {
      told.push('first did it');
      return Promise.resolve();
    });
    jobsOf(scene.server).wake();
    await new Promise((resolve) => setTimeout(resolve, 150));
    expect(told).not.toContain('first did it');
    scene.server.clock.advance(60_001);
    jobsOf(scene.server).wake();
    await until('handed-on', 'done');
    expect(told).toContain('first did it');
  });

  it('is a visible failure where servers ended three times while they worked on it', async () => {
    const [done, givenUp]: [string[], string[]] = [[], []];
    jobsOf(scene.server).handle(
      'deadly',
      (subject) => {
        done.push(subject);
        return Promise.resolve();
      },
      (subject) => {
        givenUp.push(subject);
        return Promise.resolve();
      },
    );
    const past = new Date(scene.server.clock.now().getTime() - 1000);
    await scene.server.dataSource.getRepository(Job).insert({
      id: newId(),
      kind: 'deadly',
      subject: 'x',
      activeKey: 'deadly x',
      state: 'working',
      runAt: past,
      attempts: 3,
      claim: newId(),
      leaseUntil: past,
      failure: null,
      createdAt: past,
    });
    jobsOf(scene.server).wake();
    expect(await until('deadly', 'failed')).toMatchObject({
      activeKey: null,
      failure: 'the server ended three times while it worked on this',
    });
    expect([done, givenUp]).toEqual([[], ['x']]);
  });

  it('may be asked for again once it is finished', async () => {
    const done: string[] = [];
    jobsOf(scene.server).handle('again', (subject) => {
      done.push(subject);
      return Promise.resolve();
    });
    for (const expected of [1, 2]) {
      await jobsOf(scene.server).enqueue('again', 'x');
      while (done.length < expected || (await rows('again')).some(({ state }) => state !== 'done'))
        await new Promise((resolve) => setTimeout(resolve, 25));
    }
    expect((await rows('again')).map(({ activeKey }) => activeKey)).toEqual([null, null]);
  });
});
