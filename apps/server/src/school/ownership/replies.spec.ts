import { fillPath, routes, type Route, type RouteName } from '@hapset/contract';
import { makeOneOfEach } from '../../test/one-of-each.js';
import { ReplyShapes } from '../../test/reply-shapes.js';
import { bodies } from '../../test/route-bodies.js';
import { Scene } from '../../test/scene.js';

const all = Object.entries(routes) as unknown as readonly (readonly [RouteName, Route<unknown, unknown>])[];
const order = (method: string): number => ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD'].indexOf(method);
/** Read before anything is taken away. */
const inOrder = [...all].sort(([, one], [, other]) => order(one.method) - order(other.method));

/** They answer with files, pages or streams, or, in this scene, with a problem. */
const otherwise: readonly string[] = [
  'accountLink',
  'activityCsv',
  'addFile',
  'addLookPicture',
  'addStudentPhoto',
  'arrivalPage',
  'askVisitorInspection',
  'cardReadingsCsv',
  'changeLesson',
  'changeShortLink',
  'createAccount',
  'drawPrintAgain',
  'earlierPages',
  'endYear',
  'events',
  'handOver',
  'listenForTryout',
  'makeMaterialSheet',
  'makePrint',
  'makeStationSheet',
  'matchPhotos',
  'printPage',
  'removeStudentPhoto',
  'replaceCard',
  'replaceFile',
  'replaceShortLink',
  'resetPassword',
  'saveWrittenPage',
  'shortLink',
  'shortLinksCsv',
  'signIn',
  'studentPage',
  'undoRosterImport',
  'visitorInspection',
  'writtenPage',
];

describe('replies', () => {
  let scene: Scene;
  let ids: Record<string, string>;
  let shapes: ReplyShapes;
  beforeAll(async () => {
    shapes = new ReplyShapes();
    scene = await Scene.start();
    ids = await makeOneOfEach(scene);
  }, 120_000);
  afterAll(() => scene.stop());

  it('that hold more than the contract names are found', () => {
    const look = { id: '1', name: 'x', design: {}, allowed: true, mayChange: true, uses: 0, version: 1 };
    expect(
      shapes.surplus('looks', { looks: [{ ...look, madeById: '2' }], defaultLookId: null, madeBy: 'staff' }),
    ).toEqual(['reply.looks[0].madeById']);
    expect(
      shapes.surplus('session', { accountId: '1', name: 'x', email: 'x', role: 'teacher', passwordHash: 'x' }),
    ).toEqual(['reply.passwordHash']);
  });

  it('hold what the contract names, and nothing else', async () => {
    const seen: string[] = [];
    const surplus: string[] = [];
    for (const [name, route] of inOrder) {
      const who = route.access === 'administrator' || route.access === 'office' ? 'Pell' : 'Maren';
      if (route.method === 'HEAD' || name === 'events' || name === 'signOut') continue;
      const response = await scene.server.as(who, route.method, fillPath(route.path, ids), bodies[name]?.(ids));
      if (response.status >= 300 || !String(response.headers['content-type']).startsWith('application/json')) continue;
      seen.push(name);
      surplus.push(...shapes.surplus(name, response.body).map((path) => `${name}: ${path}`));
    }
    expect(surplus).toEqual([]);
    const unseen = inOrder.filter(([name]) => shapes.hasReply(name) && !seen.includes(name)).map(([name]) => name);
    expect(unseen.sort()).toEqual(otherwise);
  }, 120_000);
});
