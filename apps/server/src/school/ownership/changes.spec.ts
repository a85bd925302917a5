import { routes, type RouteName } from '@hapset/contract';
import { everyChange, type Change } from '../../test/every-change.js';
import { ReplyShapes } from '../../test/reply-shapes.js';
import { Scene } from '../../test/scene.js';

/** Versions are not kept as they are sent; they are tested where two change the same. */
const notKept = new Set(['version']);

describe('every field of every change is kept', () => {
  let scene: Scene;
  let changes: readonly Change[];
  beforeAll(async () => {
    scene = await Scene.start();
    changes = await everyChange(scene);
  }, 120_000);
  afterAll(() => scene.stop());

  it('each change names every field that its route takes', () => {
    const shapes = new ReplyShapes();
    const names = [...new Set(changes.map(({ route }) => route))];
    const untold = names.flatMap((name) => {
      const told = new Set(changes.filter(({ route }) => route === name).flatMap(({ fields }) => Object.keys(fields)));
      return shapes
        .bodyFields(name)
        .filter((field) => !notKept.has(field) && !told.has(field))
        .map((field) => `${name}.${field}`);
    });
    expect(untold).toEqual([]);
    const changing = Object.keys(routes).filter((name) => /^(?:change|rename)/.test(name));
    expect(changing.filter((name) => !names.includes(name as RouteName))).toEqual([]);
  }, 120_000);

  it('no name or title may be one that nobody can see', async () => {
    const named = changes.flatMap(({ route, who = 'Maren', path, fields, read }) =>
      ['name', 'title', 'instruction'].flatMap((field) =>
        typeof fields[field] === 'string' ? [{ route, who, path, fields, read, field }] : [],
      ),
    );
    expect(named.length).toBeGreaterThan(6);
    for (const { route, who, path, fields, read, field } of named)
      for (const unseen of ['   ', '\u200b\u3164\t']) {
        const before = (await read())[field];
        const { version = 1 } = await read();
        const answer = await scene.server.as(who, routes[route].method, path, {
          ...(route === 'keepService' ? { version: null } : versioned(route, version)),
          ...fields,
          [field]: unseen,
        });
        expect({ route, field, status: answer.status }).toEqual({ route, field, status: 400 });
        expect((await read())[field]).toEqual(before);
      }
  }, 120_000);

  it('and each is there when it is read again', async () => {
    for (const { route, who = 'Maren', path, fields, read } of changes) {
      const { version = 1 } = await read();
      const body = { ...(route === 'keepService' ? { version: null } : versioned(route, version)), ...fields };
      await scene.server.ok(who, routes[route].method, path, body);
      expect({ route, ...(await read()) }).toMatchObject({ route, ...fields });
    }
  }, 120_000);
});

const withoutVersion = new Set<RouteName>([
  'changeDevice',
  'changeLookRules',
  'changeShortLink',
  'changeTryout',
  'changeTeacherClasses',
  'changeName',
  'changeEmail',
  'changeStaff',
]);

function versioned(route: RouteName, version: unknown): object {
  return withoutVersion.has(route) ? {} : { version };
}
