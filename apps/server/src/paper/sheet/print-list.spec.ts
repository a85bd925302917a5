import { sheetWarnings, type Problem, type PrintOrigin, type PrintsPage, type PrintView } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import { JobService } from '../../platform/queue/job.service.js';
import { fileOf, lessonOfLongPrints, makePrint, noPlaces, printInState, readPrint } from '../../test/prints.js';
import { Scene } from '../../test/scene.js';
import { Retention } from '../../school/retention/retention.js';

const weekMs = 7 * 24 * 3_600_000;

describe('the list of prints', () => {
  let scene: Scene;
  let lessonId: string;
  beforeAll(async () => {
    scene = await Scene.start();
    lessonId = await lessonOfLongPrints(scene);
  });
  afterAll(() => scene.stop());

  const make = async (choices: object = {}): Promise<PrintView> =>
    (await makePrint(scene, { kind: 'poster', ...choices }, { ...noPlaces, lessonId }, sheetWarnings))
      .body as PrintView;
  const list = (after = ''): Promise<PrintsPage> =>
    scene.server.ok<PrintsPage>('Maren', 'GET', `/api/prints${after === '' ? '' : `?after=${after}`}`);
  const print = (id: string): Promise<PrintView> => readPrint(scene, id);
  const inState = (id: string, state: PrintView['state']): Promise<PrintView> => printInState(scene, id, state);
  const whyNone = async (id: string): Promise<Problem> => {
    const answer = await scene.server.as('Maren', 'GET', `/api/prints/${id}/file`);
    expect(answer.status).toBe(410);
    return answer.body as Problem;
  };
  /** Long, done, and older than files are kept. */
  async function expired(): Promise<PrintView> {
    const made = await make({ copies: 3 });
    await inState(made.id, 'done');
    scene.server.clock.advance(weekMs + 60_000);
    await scene.server.app.get(Retention).deleteOld();
    return print(made.id);
  }

  it('is complete and comes in pages, the newest first, with paper, orientation, design and author', async () => {
    const template = await scene.server.ok<{ id: string }>('Maren', 'POST', '/api/sheet-templates', {
      name: 'Tide blue',
      kind: 'handout',
      accent: '#113355',
      header: null,
      layout: null,
      footer: '',
      labels: null,
    });
    for (let index = 0; index < 21; index += 1) await make();
    await make({ kind: 'handout', paper: 'A5', lying: true, templateId: template.id });
    const first = await list();
    expect(first).toMatchObject({ total: 22 });
    expect(first.rows).toHaveLength(20);
    expect(first.rows.slice(0, 2)).toMatchObject([
      { paper: 'A5', lying: true, design: 'Tide blue', author: 'Maren', state: 'done' },
      { paper: 'A4', lying: false, design: null, author: 'Maren', state: 'done' },
    ]);
    const second = await list(first.next ?? '');
    expect([second.rows.length, second.next, second.total]).toEqual([2, null, 22]);
    const ids = [...first.rows, ...second.rows].map(({ id }) => id);
    expect(ids).toEqual([...new Set(ids)].sort().reverse());
    expect(await scene.server.ok<PrintsPage>('Pell', 'GET', '/api/prints')).toEqual({ rows: [], next: null, total: 0 });
  });

  it('goes on without what was deleted, says so where its file is asked for, and takes it back', async () => {
    const made = await make();
    const before = await list();
    await scene.server.ok('Maren', 'DELETE', `/api/prints/${made.id}`);
    const after = await list();
    expect(after.total).toBe(before.total - 1);
    expect(after.rows.map(({ id }) => id)).not.toContain(made.id);
    expect(await whyNone(made.id)).toMatchObject({ reason: 'gone', message: 'It was deleted.' });
    expect((await print(made.id)).state).toBe('deleted');
    // Paper on the wall doesn't vanish with a file.
    const bench = await scene.bench(lessonId);
    expect(bench.rows.every(({ readiness }) => readiness.paper.state === 'done')).toBe(true);
    const { sheets } = await scene.page(bench.rows[0]?.stationId ?? '');
    expect(sheets[0]).toMatchObject({ state: 'deleted' });
    await scene.server.ok('Maren', 'POST', `/api/prints/${made.id}/restore`);
    expect((await list()).rows[0]?.id).toBe(made.id);
    expect((await fileOf(scene, `/api/prints/${made.id}/file`)).subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('has what was made with it, for the composer, as far as that is there', async () => {
    const template = await scene.server.ok<{ id: string }>('Maren', 'POST', '/api/sheet-templates', {
      name: 'For once',
      kind: 'poster',
      accent: '#113355',
      header: null,
      layout: null,
      footer: '',
      labels: null,
    });
    const made = await make({ paper: 'A3', templateId: template.id });
    expect(made.canBeComposed).toBe(true);
    const origin = (): Promise<PrintOrigin> =>
      scene.server.ok<PrintOrigin>('Maren', 'GET', `/api/prints/${made.id}/origin`);
    const choices = { ...plainChoices('poster', 'A3'), templateId: template.id };
    expect(await origin()).toEqual({ places: { ...noPlaces, lessonId }, choices });
    await scene.server.ok('Maren', 'DELETE', `/api/sheet-templates/${template.id}`);
    expect((await origin()).choices.templateId).toBeNull();

    const [row] = (await scene.bench(lessonId)).rows;
    await scene.server.ok('Maren', 'POST', `/api/stations/${row?.stationId}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: [],
    });
    const [poster] = (await list()).rows;
    expect(await scene.server.ok<PrintOrigin>('Maren', 'GET', `/api/prints/${poster?.id}/origin`)).toMatchObject({
      places: { ...noPlaces, stationIds: [row?.stationId] },
    });
  });

  it('restores an expired file unchanged, and no other', async () => {
    const old = await expired();
    expect(old).toMatchObject({ state: 'expired', canBeDrawnAgain: true });
    expect((await whyNone(old.id)).message).toContain('it was old');
    await scene.server.ok('Maren', 'POST', `/api/prints/${old.id}/drawing`);
    expect(await inState(old.id, 'done')).toMatchObject({ pages: 21, canBeDrawnAgain: false });
    expect((await fileOf(scene, `/api/prints/${old.id}/file`)).subarray(0, 5).toString()).toBe('%PDF-');
    expect((await scene.server.as('Maren', 'POST', `/api/prints/${(await make()).id}/drawing`)).status).toBe(410);
  });

  it('remembers as printed what was stopped while it was drawn again', async () => {
    const old = await expired();
    const jobs = scene.server.app.get(JobService);
    const wake = jest.spyOn(jobs, 'wake').mockImplementation(() => undefined);
    await scene.server.ok('Maren', 'POST', `/api/prints/${old.id}/drawing`);
    expect((await print(old.id)).state).toBe('drawing');
    await scene.server.ok('Maren', 'DELETE', `/api/prints/${old.id}/drawing`);
    expect(await print(old.id)).toMatchObject({ state: 'expired', canBeDrawnAgain: true });
    wake.mockRestore();
    jobs.wake();
  });

  it('stops what is being drawn when it is deleted', async () => {
    const jobs = scene.server.app.get(JobService);
    const wake = jest.spyOn(jobs, 'wake').mockImplementation(() => undefined);
    const made = await make({ copies: 3 });
    await scene.server.ok('Maren', 'DELETE', `/api/prints/${made.id}`);
    await scene.server.ok('Maren', 'POST', `/api/prints/${made.id}/restore`);
    expect(await print(made.id)).toMatchObject({ state: 'stopped', canBeDrawnAgain: false, canBeComposed: true });
    wake.mockRestore();
    jobs.wake();
  });
});
