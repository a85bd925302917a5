import { TestServer } from '../../test/test-server.js';
import { newId } from '../database/columns.js';
import { addJobs } from './add-jobs.js';
import { pools, type NewJob, type Pool } from './job-kind.js';
import { JobRows } from './job-rows.js';
import { Job } from './job.entity.js';

/** Kinds that no server does by itself, so that nothing happens behind the test's back. */
const kinds = new Map<string, Pool>([
  ['asks', 'network'],
  ['computes', 'cores'],
]);

describe('jobs in the database', () => {
  let server: TestServer;
  let rows: JobRows;
  beforeAll(async () => {
    server = await TestServer.start();
    rows = server.app.get(JobRows);
  });
  beforeEach(() => server.dataSource.query("DELETE FROM jobs WHERE kind IN ('asks', 'computes')"));
  afterAll(() => server.stop());

  const change = (sql: string): Promise<unknown> =>
    server.dataSource.query(`UPDATE jobs SET ${sql} WHERE kind IN ('asks', 'computes')`);
  const subjects = (jobs: readonly Job[]): readonly string[] => jobs.map(({ subject }) => subject).sort();
  const find = (subject: string): Promise<Job> =>
    server.dataSource.getRepository(Job).findOneByOrFail({ subject, kind: 'computes' });
  const computes = (subject: string, more: Partial<NewJob> = {}): NewJob => ({ kind: 'computes', subject, ...more });
  const crowd = (ownerId: string, lane: string, count: number): NewJob[] =>
    Array.from({ length: count }, (_, index) => ({
      kind: 'asks',
      subject: `${ownerId} ${lane} ${index}`,
      ownerId,
      lane,
    }));

  it('are claimed by one server alone, and again once the lease has run out by the database’s clock', async () => {
    await rows.add([computes('x')]);
    const [first] = await rows.claim(kinds, []);
    expect(first).toMatchObject({ subject: 'x', attempts: 1, state: 'working' });
    expect(await rows.claim(kinds, [])).toEqual([]);
    // Whatever this server's clock says.
    server.clock.advance(24 * 3_600_000);
    expect(await rows.claim(kinds, [])).toEqual([]);
    await change('lease_until = NOW(3) - INTERVAL 1 SECOND');
    expect(await rows.claim(kinds, [])).toMatchObject([{ id: first?.id, attempts: 2 }]);
  });

  it('keep their lease while it is renewed', async () => {
    await rows.add([computes('x')]);
    const claimed = await rows.claim(kinds, []);
    await change('lease_until = NOW(3) - INTERVAL 1 SECOND');
    await rows.renew(claimed);
    expect(await rows.claim(kinds, [])).toEqual([]);
    expect(await rows.listLost(claimed)).toEqual([]);
  });

  it('change no more by whoever lost them', async () => {
    await rows.add([computes('x')]);
    const [first] = await rows.claim(kinds, []);
    await change('lease_until = NOW(3) - INTERVAL 1 SECOND');
    const [second] = await rows.claim(kinds, []);
    if (!first || !second) throw new Error('nothing was claimed');
    expect(await rows.listLost([first, second])).toEqual([first]);
    await rows.finish(first, 'done', null);
    await rows.putBack(first, 0, 0, null);
    await rows.tell(first, { done: 1, total: 2 });
    await rows.renew([first]);
    expect(await find('x')).toMatchObject({ state: 'working', claim: second.claim, progressDone: null, attempts: 2 });
    const holds = (job: Job): Promise<boolean> => server.dataSource.transaction((manager) => rows.holds(manager, job));
    expect([await holds(first), await holds(second)]).toEqual([false, true]);
    await rows.finish(second, 'done', null);
    expect(await find('x')).toMatchObject({ state: 'done', activeKey: null, leaseUntil: null });
    expect(await holds(second)).toBe(false);
  });

  it('wait for their time, and after a failure for a while', async () => {
    await rows.add([computes('later', { afterS: 60 })]);
    expect(await rows.claim(kinds, [])).toEqual([]);
    await change('run_at = NOW(3)');
    const [job] = await rows.claim(kinds, []);
    if (!job) throw new Error('nothing was claimed');
    await rows.putBack(job, 1, 60, 'Error');
    expect(await rows.claim(kinds, [])).toEqual([]);
    expect(await find('later')).toMatchObject({ state: 'waiting', failure: 'Error', attempts: 1 });
  });

  it('begin as many at once as the limits say, over all servers where they ask others', async () => {
    await rows.add(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].flatMap((lane) => crowd('Maren', lane, 8)));
    const both = (await Promise.all([rows.claim(kinds, []), rows.claim(kinds, []), rows.claim(kinds, [])])).flat();
    expect(both).toHaveLength(pools.network.atOnce);
    for (const lane of 'abcdefgh')
      expect(both.filter((job) => job.lane === lane).length).toBeLessThanOrEqual(pools.network.atOneLane);
  });

  it('begin as many at once as a server has room for where they compute', async () => {
    await rows.add(['a', 'b', 'c', 'd', 'e'].map((subject) => computes(subject)));
    const here = (count: number) => [{ lane: '', ownerId: '', pool: 'cores' as const, count }];
    expect(subjects(await rows.claim(kinds, here(1)))).toEqual(['a']);
    expect(await rows.claim(kinds, here(2))).toEqual([]);
    // Another server has room of its own, whatever runs here.
    expect(subjects(await rows.claim(kinds, here(0)))).toEqual(['b', 'c']);
  });

  it('let a colleague in behind a crowd of hundreds, and the urgent one of an owner first', async () => {
    await rows.add([...crowd('Maren', 'a', 650), ...crowd('Tobiah', 'b', 1)]);
    await rows.add([{ kind: 'asks', subject: 'urgent', ownerId: 'Maren', lane: 'a', priority: 1 }]);
    const begun = subjects(await rows.claim(kinds, []));
    expect(begun).toContain('Tobiah b 0');
    expect(begun).toContain('urgent');
    expect(begun).toHaveLength(pools.network.atOneLane + 1);
  });

  it('leave those alone that this server does not know', async () => {
    await rows.add([computes('x')]);
    expect(await rows.claim(new Map([['asks', 'network']]), [])).toEqual([]);
    expect(await rows.claim(new Map(), [])).toEqual([]);
  });

  it('are stopped while they wait and while they run', async () => {
    await rows.add([computes('waits', { priority: -1 }), computes('runs', { priority: 1 }), computes('stays')]);
    const claimed = await rows.claim(kinds, [{ lane: '', ownerId: '', pool: 'cores', count: 1 }]);
    expect(subjects(claimed)).toEqual(['runs']);
    await rows.stop('computes', ['waits', 'runs']);
    expect(await rows.listLost(claimed)).toEqual(claimed);
    expect(subjects(await rows.claim(kinds, []))).toEqual(['stays']);
    for (const subject of ['waits', 'runs'])
      expect(await find(subject)).toMatchObject({ state: 'stopped', activeKey: null, claim: null });
  });

  it('begin again from nothing, whether they run or are over', async () => {
    await rows.add([computes('x')]);
    const [first] = await rows.claim(kinds, []);
    await rows.restart(computes('x'));
    const [second] = await rows.claim(kinds, []);
    if (!first || !second) throw new Error('nothing was claimed');
    expect([second.id, second.attempts]).toEqual([first.id, 1]);
    await rows.finish(second, 'done', null);
    await rows.restart(computes('x'));
    const [third] = await rows.claim(kinds, []);
    expect(third?.id).not.toBe(first.id);
  });

  it('tell the progress of the last one about a subject', async () => {
    await rows.add([computes('x'), computes('silent')]);
    const [first] = (await rows.claim(kinds, [])).filter(({ subject }) => subject === 'x');
    if (!first) throw new Error('nothing was claimed');
    await rows.tell(first, { done: 3, total: 20 });
    expect(await rows.listProgress('computes', ['x', 'silent', 'unknown'])).toEqual(
      new Map([['x', { done: 3, total: 20 }]]),
    );
    expect(await rows.listProgress('computes', [])).toEqual(new Map());
  });

  it('are deleted once they ended before a time', async () => {
    await rows.add([computes('old'), computes('new'), computes('unfinished')]);
    const age = (subject: string, days: number): Promise<unknown> =>
      server.dataSource.query(
        "UPDATE jobs SET state = 'done', active_key = NULL, finished_at = NOW(3) - INTERVAL ? DAY WHERE subject = ?",
        [days, subject],
      );
    await age('old', 8);
    await age('new', 6);
    expect(await rows.deleteFinished(new Date(Date.now() - 7 * 24 * 3_600_000))).toBe(1);
    const left = await server.dataSource.getRepository(Job).findBy({ kind: 'computes' });
    expect(subjects(left)).toEqual(['new', 'unfinished']);
  });

  it('are written together with what else a transaction writes, or not at all', async () => {
    const broken = server.dataSource.transaction(async (manager) => {
      await addJobs(manager, [computes(newId())]);
      throw new Error('what it is about could not be written');
    });
    await expect(broken).rejects.toThrow('could not be written');
    expect(await rows.claim(kinds, [])).toEqual([]);
  });
});
