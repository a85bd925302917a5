import type { PrintView } from '@hapset/contract';
import { JobService } from '../../platform/queue/job.service.js';
import { fileOf, lessonOfLongPrints, makePrint, noPlaces, printInState, readPrint } from '../../test/prints.js';
import { Scene, words } from '../../test/scene.js';
import { SheetWorkers } from './sheet-workers.js';
import { Retention } from '../../school/retention/retention.js';

describe('prints of more pages than are drawn at once', () => {
  let scene: Scene;
  let lessonId: string;
  beforeAll(async () => {
    scene = await Scene.start();
    lessonId = await lessonOfLongPrints(scene);
  });
  afterAll(() => scene.stop());

  const long = { kind: 'poster', copies: 3 } as const;
  const print = (id: string): Promise<PrintView> => readPrint(scene, id);
  const inState = (id: string, state: PrintView['state']): Promise<PrintView> => printInState(scene, id, state);

  it('are laid out once before they are made', async () => {
    const asked = jest.spyOn(scene.server.app.get(SheetWorkers), 'ask');
    await inState(((await makePrint(scene, long, { ...noPlaces, lessonId })).body as PrintView).id, 'done');
    expect(asked.mock.calls.map(([, { kind }]) => kind)).toEqual(['notes', 'pdf']);
    asked.mockRestore();
  });

  it('are drawn by a job, and their files are deleted when they are old', async () => {
    const made = (await makePrint(scene, long, { ...noPlaces, lessonId })).body as PrintView;
    expect(made).toMatchObject({ state: 'drawing', pages: 21 });
    await inState(made.id, 'done');
    expect(await print(made.id)).toMatchObject({ drawn: 21 });
    expect((await fileOf(scene, `/api/prints/${made.id}/file`)).subarray(0, 5).toString()).toBe('%PDF-');
    scene.server.clock.advance(8 * 24 * 3_600_000);
    await scene.server.app.get(Retention).deleteOld();
    expect(await print(made.id)).toMatchObject({ state: 'expired' });
    expect((await scene.server.as('Maren', 'GET', `/api/prints/${made.id}/file`)).status).toBe(410);
  });

  it('can be stopped; what was not drawn was never printed', async () => {
    const other = await scene.lesson();
    const [stationId = ''] = await scene.stations(other, [words('a thing for many')]);
    // Nobody works, so that it surely waits.
    const jobs = scene.server.app.get(JobService);
    const wake = jest.spyOn(jobs, 'wake').mockImplementation(() => undefined);
    const made = (
      await makePrint(scene, { kind: 'poster', copies: 30 }, { ...noPlaces, lessonId: other }, ['does-not-read'])
    ).body as PrintView;
    expect((await scene.page(stationId)).readiness.paper.state).toBe('done');
    await scene.server.ok('Maren', 'DELETE', `/api/prints/${made.id}/drawing`);
    expect(await print(made.id)).toMatchObject({ state: 'stopped' });
    expect((await scene.page(stationId)).readiness.paper.state).toBe('not-yet');
    wake.mockRestore();
    jobs.wake();
  });
});
