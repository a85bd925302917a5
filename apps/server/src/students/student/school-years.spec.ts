import type { RosterImportView, StudentView } from '@hapset/contract';
import { importedStudent as student } from '../../test/imported-student.js';
import { rosterCalls } from '../../test/roster-calls.js';
import { Scene } from '../../test/scene.js';

describe('students over the years', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const { list, importRoster, compare, names } = rosterCalls(() => scene);

  it('what was edited by hand stays through later rosters, until it is what the roster says', async () => {
    await scene.server.ok('Hesper', 'POST', '/api/student-erasures', { className: '8 Finch' });
    const rosterOf = (given: string, className = '8 Finch', year = '8') => [
      student(given, 'Reed', '80001', className, year),
      student('Una', 'Sedge', '80002', className, year),
    ];
    await importRoster(rosterOf('Jon'));
    const jon = async () => (await list('?find=Reed')).rows[0] as StudentView;
    const name = { prefix: '', given: 'John', middle: '', family: 'Reed' };
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${(await jon()).id}`, {
      version: (await jon()).version,
      name,
      schoolId: '80009',
    });
    expect(await jon()).toMatchObject({ name: 'John Reed', edited: { schoolId: '80001', name: { given: 'Jon' } } });

    expect(await compare(rosterOf('Jonn', '8 Finch', '9'))).toMatchObject({
      added: 0,
      changed: 2,
      kept: 1,
      someKept: ['John Reed, 8 Finch'],
    });
    const later = await importRoster(rosterOf('Jonn', '8 Finch', '9'));
    expect(await jon()).toMatchObject({ name: 'John Reed', schoolId: '80009', year: '9' });
    expect((await jon()).edited).toEqual({ schoolId: '80001', name: { ...name, given: 'Jonn' } });

    await scene.server.ok('Hesper', 'DELETE', `/api/roster-imports/${later.id}`);
    expect(await jon()).toMatchObject({ name: 'John Reed', year: '8', edited: { name: { given: 'Jon' } } });

    // The office has corrected the name: nothing is edited any longer but the id.
    const corrected = await importRoster(rosterOf('John'));
    expect(corrected).toMatchObject({ added: 0 });
    expect((await jon()).edited).toEqual({ schoolId: '80001' });
    const { id, version } = await jon();
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${id}`, { version, schoolId: '80001' });
    expect(await jon()).toMatchObject({ schoolId: '80001', edited: {} });
  });

  it('leave together, and are back', async () => {
    await importRoster([student('Ivo', 'Ash', '82001', '9 Rook'), student('Una', 'Elm', '82002', '9 Rook')]);
    const studentIds = (await list('?class=9%20Rook')).rows.map(({ id }) => id);
    const leave = (left: boolean, ids = studentIds) =>
      scene.server.as('Hesper', 'POST', '/api/student-departures', { studentIds: ids, left });
    expect((await leave(true)).status).toBe(200);
    expect((await list('?class=9%20Rook')).total).toBe(0);
    await leave(false, studentIds.slice(0, 1));
    expect((await list('?class=9%20Rook')).rows.map(({ id }) => id)).toEqual(studentIds.slice(0, 1));
    expect((await leave(true, [])).status).toBe(400);
    expect((await scene.server.as('Maren', 'POST', '/api/student-departures', { studentIds, left: true })).status).toBe(
      403,
    );
  });

  it('move up at the end of a year, all classes at once, and back', async () => {
    await scene.server.ok('Hesper', 'POST', '/api/student-erasures', { className: '9 Rook' });
    await importRoster([
      student('Ada', 'Up', '83001', '7 Pike', '7'),
      student('Bea', 'Up', '83002', '8 Pike', '8'),
      student('Cy', 'Out', '83003', '9 Pike', '9'),
    ]);
    const of = async (className: string) => names(await list(`?class=${encodeURIComponent(className)}`));
    const ada = (await list('?find=83001')).rows[0] as StudentView;
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${ada.id}`, {
      version: ada.version,
      year: '07',
      name: { prefix: '', given: 'Adah', middle: '', family: 'Up' },
    });
    const end = (moves: readonly { className: string; to: string | null }[]) =>
      scene.server.as('Hesper', 'POST', '/api/year-ends', { moves });
    const moves = [
      { className: '7 Pike', to: '8 Pike' },
      { className: '8 Pike', to: ' 9 Pike ' },
      { className: '9 Pike', to: null },
    ];
    const ended = (await end(moves)).body as unknown as RosterImportView;
    expect(ended).toMatchObject({ kind: 'year-end', changed: 2, left: 1, undoable: true });
    expect([await of('7 Pike'), await of('8 Pike'), await of('9 Pike')]).toEqual([[], ['Adah Up'], ['Bea Up']]);
    // What was edited of the year is over; the name is not.
    expect((await list('?find=83001')).rows[0]).toMatchObject({ year: '08', edited: { name: { given: 'Ada' } } });
    expect((await list('?find=83001')).rows[0]?.edited).not.toHaveProperty('year');
    await scene.server.ok('Hesper', 'DELETE', `/api/roster-imports/${ended.id}`);
    expect([await of('7 Pike'), await of('8 Pike'), await of('9 Pike')]).toEqual([['Adah Up'], ['Bea Up'], ['Cy Out']]);
    expect((await list('?find=83001')).rows[0]).toMatchObject({ year: '07', edited: { year: '7' } });
    expect((await end([{ className: '7 Pike', to: '7 Pike' }])).body).toMatchObject({ reason: 'invalid' });
    expect((await end([{ className: '7 Pike', to: ' ' }])).status).toBe(400);
    expect((await end([...moves, ...moves])).status).toBe(400);
  });

  it('namesakes are told apart by their ids in what would change', async () => {
    expect(
      await compare([
        student('Ada', 'Twin', '81001', '8 Owl'),
        student('Ada', 'Twin', '81002', '8 Owl'),
        student('Bea', 'One', '81003', '8 Owl'),
      ]),
    ).toMatchObject({ someAdded: ['Ada Twin, 8 Owl, 81001', 'Ada Twin, 8 Owl, 81002', 'Bea One, 8 Owl'] });
  });
});
