import { Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { until } from '../../test/until.js';
import { newId } from '../database/columns.js';
import type { JobRun } from './job-kind.js';
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
  const allIn = async (kind: string, state: JobState): Promise<readonly Job[]> => {
    const found = await until(
      () => rows(kind),
      (jobs) => jobs.length > 0 && jobs.every((job) => job.state === state),
    );
    expect(found.map((job) => job.state)).toEqual(found.map(() => state));
    return found;
  };
  const handle = (name: string, work: (run: JobRun) => Promise<void>, server = scene.server): void =>
    jobsOf(server).handle({ name, pool: 'cores', work });
  const whenStopped = ({ stop }: JobRun): Promise<void> =>
    new Promise((resolve) => stop.addEventListener('abort', () => resolve(), { once: true }));
  /** Something that is waited for and happens once. */
  const signal = (): { readonly happened: Promise<void>; readonly happens: () => void } => {
    let happens = (): void => undefined;
    const happened = new Promise<void>((resolve) => (happens = resolve));
    return { happened, happens };
  };

  it('is done once for each subject, however often it is asked for', async () => {
    const done: string[] = [];
    const gate = signal();
    handle('once', async ({ subject }) => {
      await gate.happened;
      done.push(subject);
    });
    for (let count = 0; count < 3; count += 1) await jobsOf(scene.server).enqueue({ kind: 'once', subject: 'a' });
    await jobsOf(scene.server).enqueue({ kind: 'once', subject: 'b' });
    gate.happens();
    await allIn('once', 'done');
    expect(done.sort()).toEqual(['a', 'b']);
  });

  it('is tried again after a failure, and given up after the third with its reason', async () => {
    let attempts = 0;
    const givenUp: string[] = [];
    jobsOf(scene.server).handle({
      name: 'fails',
      pool: 'cores',
      work: () => {
        attempts += 1;
        return Promise.reject(new Error(`attempt ${attempts} went wrong`));
      },
      failed: (subject) => Promise.resolve(void givenUp.push(subject)),
    });
    await jobsOf(scene.server).enqueue({ kind: 'fails', subject: 'x' });
    for (const expected of [1, 2]) {
      await until(
        () => rows('fails'),
        ([job]) => job?.state === 'waiting' && job.attempts === expected,
      );
      expect(attempts).toBe(expected);
      await scene.server.waitingJobsAreDue();
    }
    expect(await allIn('fails', 'failed')).toMatchObject([
      { attempts: 3, failure: expect.stringMatching(/^Error at job\.spec\.ts:\d+:\d+$/) as string },
    ]);
    expect(givenUp).toEqual(['x']);
  });

  it('is taken up by another server when its own ends, and that was no attempt', async () => {
    const second = await TestServer.start({ database: scene.server.database });
    const begun = signal();
    handle(
      'handed-on',
      async (run) => {
        begun.happens();
        await whenStopped(run);
      },
      second,
    );
    await jobsOf(second).enqueue({ kind: 'handed-on', subject: 'x' });
    await begun.happened;
    await second.stop();
    expect(await rows('handed-on')).toMatchObject([{ state: 'waiting', attempts: 0 }]);
    const done: string[] = [];
    handle('handed-on', ({ subject }) => Promise.resolve(void done.push(subject)));
    jobsOf(scene.server).wake();
    await allIn('handed-on', 'done');
    expect(done).toEqual(['x']);
  });

  it('is a visible failure where servers ended three times while they worked on it', async () => {
    const [done, givenUp]: [string[], string[]] = [[], []];
    jobsOf(scene.server).handle({
      name: 'deadly',
      pool: 'cores',
      work: ({ subject }) => Promise.resolve(void done.push(subject)),
      failed: (subject) => Promise.resolve(void givenUp.push(subject)),
    });
    const past = new Date('2020-01-01T00:00:00Z');
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
      createdAt: past,
    });
    jobsOf(scene.server).wake();
    expect(await allIn('deadly', 'failed')).toMatchObject([
      { activeKey: null, failure: 'the server ended three times while it did this' },
    ]);
    expect([done, givenUp]).toEqual([[], ['x']]);
  });

  it('may be asked for again once it is finished', async () => {
    const done: string[] = [];
    handle('again', ({ subject }) => Promise.resolve(void done.push(subject)));
    for (const expected of [1, 2]) {
      await jobsOf(scene.server).enqueue({ kind: 'again', subject: 'x' });
      await until(
        () => Promise.resolve(done),
        ({ length }) => length === expected,
      );
      await allIn('again', 'done');
    }
    expect((await rows('again')).map(({ activeKey }) => activeKey)).toEqual([null, null]);
  });

  it('tells how far it is, is stopped on whichever server it runs, and writes nothing then', async () => {
    const second = await TestServer.start({ database: scene.server.database });
    const ended = signal();
    const held: boolean[] = [];
    handle(
      'stopped',
      async (run) => {
        run.tell(3, 20);
        held.push(await second.dataSource.transaction((manager) => run.holds(manager)));
        await whenStopped(run);
        held.push(await second.dataSource.transaction((manager) => run.holds(manager)));
        ended.happens();
      },
      second,
    );
    await jobsOf(second).enqueue({ kind: 'stopped', subject: 'x' });
    const progress = (): Promise<unknown> =>
      jobsOf(scene.server)
        .listProgress('stopped', ['x'])
        .then((known) => known.get('x'));
    expect(await until(progress, (known) => known !== undefined)).toEqual({ done: 3, total: 20 });
    await jobsOf(scene.server).stop('stopped', ['x']);
    await ended.happened;
    await second.stop();
    expect(await rows('stopped')).toMatchObject([{ state: 'stopped', activeKey: null }]);
    expect(held).toEqual([true, false]);
  });

  it('begins again where what it works on became another one', async () => {
    const seen: string[] = [];
    const begun = signal();
    let version = 'first';
    handle('restarted', async (run) => {
      const mine = version;
      if (mine === 'first') {
        begun.happens();
        await whenStopped(run);
      }
      if (await scene.server.dataSource.transaction((manager) => run.holds(manager))) seen.push(mine);
    });
    await jobsOf(scene.server).enqueue({ kind: 'restarted', subject: 'x' });
    await begun.happened;
    version = 'second';
    await jobsOf(scene.server).restart({ kind: 'restarted', subject: 'x' });
    await allIn('restarted', 'done');
    expect(seen).toEqual(['second']);
  });

  it('is no failure of whoever has lost it', async () => {
    const givenUp: string[] = [];
    const begun = signal();
    const mayFail = signal();
    let attempt = 0;
    jobsOf(scene.server).handle({
      name: 'lost',
      pool: 'cores',
      work: async () => {
        attempt += 1;
        if (attempt > 1) return;
        begun.happens();
        await mayFail.happened;
        throw new Error('of the one that was lost');
      },
      failed: (subject) => Promise.resolve(void givenUp.push(subject)),
    });
    // Its last attempt.
    await jobsOf(scene.server).enqueue({ kind: 'lost', subject: 'x', afterS: 3600 });
    await scene.server.dataSource.query("UPDATE jobs SET attempts = 2 WHERE kind = 'lost'");
    await scene.server.waitingJobsAreDue();
    await begun.happened;
    // Another server has just put it back; this one does not know yet.
    await scene.server.dataSource.query(
      "UPDATE jobs SET state = 'waiting', claim = NULL, attempts = 0, run_at = NOW(3) + INTERVAL 1 HOUR WHERE kind = 'lost'",
    );
    mayFail.happens();
    await scene.server.waitingJobsAreDue();
    await allIn('lost', 'done');
    expect([attempt, givenUp]).toEqual([2, []]);
  });
});
