import type { RosterImportView, RosterUndoView, StudentGroups, StudentsPage, StudentView } from '@hapset/contract';
import { read, utils } from '@e965/xlsx';
import Papa from 'papaparse';
import { newId } from '../../platform/database/columns.js';
import { ComparedRoster } from './compared-roster.entity.js';
import { importedStudent as student } from '../../test/imported-student.js';
import { rosterCalls } from '../../test/roster-calls.js';
import { Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { until } from '../../test/until.js';
import { RosterImport } from './roster-import.entity.js';

const first = [
  student('Ann', 'Lee', '00123'),
  student('Bo', 'van Dam', '00124'),
  student('太郎', '山田', '00125', '6 Heron'),
  student('Suharto', '', null, '6 Heron'),
];

describe('students', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const { list, importRoster, compare, names } = rosterCalls(() => scene);

  it('come in by a roster, sorted by class and family name, ids with their zeros', async () => {
    expect(await compare(first)).toMatchObject({
      added: 4,
      changed: 0,
      same: 0,
      leftOut: 0,
      someAdded: ['Ann Lee, 6 Kestrel', 'Bo van Dam, 6 Kestrel', '山田太郎, 6 Heron', 'Suharto, 6 Heron'],
    });
    expect(await importRoster(first)).toMatchObject({ added: 4, changed: 0, left: 0, undoable: true });
    const page = await list();
    expect(names(page)).toEqual(['Suharto', '山田太郎', 'Ann Lee', 'Bo van Dam']);
    expect(page).toMatchObject({ total: 4, next: null });
    expect(page.rows[2]).toMatchObject({
      schoolId: '00123',
      className: '6 Kestrel',
      year: '6',
      left: false,
      cardMadeAt: null,
    });
    expect(await scene.server.ok<StudentGroups>('Tobiah', 'GET', '/api/student-groups')).toEqual({
      classes: [
        { name: '6 Heron', students: 2 },
        { name: '6 Kestrel', students: 2 },
      ],
      years: [{ name: '6', students: 4 }],
      students: 4,
      left: 0,
    });
  });

  it('are found as one types, by name, id and class', async () => {
    expect(names(await list('?find=lee'))).toEqual(['Ann Lee']);
    expect(names(await list('?find=00124'))).toEqual(['Bo van Dam']);
    expect(names(await list('?find=heron%20太'))).toEqual(['山田太郎']);
    expect(names(await list('?class=6%20Kestrel'))).toEqual(['Ann Lee', 'Bo van Dam']);
    expect(names(await list('?find=100%25'))).toEqual([]);
  });

  it('are added, changed and left out by another roster, which is undone in one go', async () => {
    const second = [
      student('Ann', 'Lee-Fox', '00123', '7 Kestrel', '7'),
      student('Bo', 'van Dam', '00124'),
      student('New', 'One', '00130'),
    ];
    expect(await compare(second)).toMatchObject({
      added: 1,
      changed: 1,
      same: 1,
      leftOut: 2,
      someChanged: [
        {
          name: 'Ann Lee-Fox, 7 Kestrel',
          parts: ['name', 'className', 'year'],
          before: 'Ann Lee, 6 Kestrel',
          back: false,
        },
      ],
      someLeftOut: ['山田太郎, 6 Heron', 'Suharto, 6 Heron'],
    });
    const done = await importRoster(second, true);
    expect(done).toMatchObject({ added: 1, changed: 1, left: 2 });
    expect(names(await list())).toEqual(['New One', 'Bo van Dam', 'Ann Lee-Fox']);
    expect(names(await list('?left=yes'))).toEqual(['Suharto', '山田太郎']);
    await scene.server.ok('Hesper', 'DELETE', `/api/roster-imports/${done.id}`);
    expect(names(await list())).toEqual(['Suharto', '山田太郎', 'Ann Lee', 'Bo van Dam']);
    expect((await scene.server.as('Hesper', 'DELETE', `/api/roster-imports/${done.id}`)).body).toMatchObject({
      reason: 'not-undoable',
    });
    const imports = await scene.server.ok<RosterImportView[]>('Hesper', 'GET', '/api/roster-imports');
    expect(imports.map(({ undone, undoable }) => [undone, undoable])).toEqual([
      [true, false],
      [false, false],
    ]);
  });

  it('an id is never lost because a roster has none', async () => {
    await importRoster([student('Ann', 'Lee', null)]);
    expect((await list('?find=lee')).rows[0]).toMatchObject({ schoolId: '00123' });
  });

  it('are changed under a version, leave and come back', async () => {
    const [ann] = (await list('?find=lee')).rows as [StudentView];
    const change = (body: object) => scene.server.as('Hesper', 'PATCH', `/api/students/${ann.id}`, body);
    expect(
      (await change({ version: ann.version, name: { prefix: '', given: 'Anna', middle: '', family: 'Lee' } })).body,
    ).toMatchObject({ name: 'Anna Lee', version: ann.version + 1 });
    expect((await change({ version: ann.version, className: 'x' })).body).toMatchObject({ reason: 'stale' });
    expect(
      (await change({ version: ann.version + 1, name: { prefix: '', given: ' ', middle: '', family: '' } })).body,
    ).toMatchObject({ reason: 'invalid' });
    expect((await change({ version: ann.version + 1, className: null })).body).toMatchObject({ reason: 'invalid' });
    expect((await change({ version: ann.version + 1, left: true })).body).toMatchObject({ left: true });
    expect((await change({ version: ann.version + 2, left: false })).body).toMatchObject({ left: false });
    expect(
      await scene.server.ok<StudentGroups>('Hesper', 'POST', '/api/class-departures', { className: '6 Heron' }),
    ).toMatchObject({ students: 2, left: 2 });
    expect(names(await list())).toEqual(['Anna Lee', 'Bo van Dam']);
  });

  it('are erased with all traces', async () => {
    const [suharto] = (await list('?left=yes&find=Suharto')).rows as [StudentView];
    await scene.server.ok('Hesper', 'DELETE', `/api/students/${suharto.id}`);
    expect((await list('?left=yes')).total).toBe(1);
    const imports = await scene.server.dataSource.getRepository(RosterImport).find();
    expect(JSON.stringify(imports)).not.toContain(suharto.id);
    expect(JSON.stringify(imports)).not.toContain('Suharto');
    expect((await scene.server.as('Hesper', 'DELETE', `/api/students/${suharto.id}`)).status).toBe(404);
  });

  it('are taken away as CSV, XLSX and JSON, and nothing of it runs', async () => {
    await importRoster([
      student('=cmd|calc', '', '00200', '6 Kestrel'),
      student('Eve', '\uff1dSUM(A1)', '00201', '6 Kestrel'),
    ]);
    const csv = String((await scene.server.file('Hesper', '/api/students-file?format=csv&find=0020')).body);
    const rows = Papa.parse<string[]>(csv.replace(/^\ufeff/, ''), { skipEmptyLines: true }).data;
    expect(rows[0]).toEqual([
      'Id',
      'Prefix',
      'Given name',
      'Middle name',
      'Family name',
      'Name',
      'Class',
      'Year',
      'Left',
    ]);
    expect(rows.slice(1).map((row) => [row[0], row[2], row[4]])).toEqual(
      [
        ['00201', 'Eve', "'\uff1dSUM(A1)"],
        ['00200', "'=cmd|calc", ''],
      ].sort(),
    );
    const book = read((await scene.server.file('Hesper', '/api/students-file?format=xlsx&find=0020')).body as Buffer);
    const cells = Object.values(book.Sheets.Students ?? {}).filter(
      (cell): cell is { t: string; v: string; f?: string } => typeof cell === 'object' && cell !== null && 't' in cell,
    );
    expect(cells.every(({ t, f }) => t === 's' && f === undefined)).toBe(true);
    expect(
      utils
        .sheet_to_json<{ Id: string }>(book.Sheets.Students ?? {})
        .map(({ Id }) => Id)
        .sort(),
    ).toEqual(['00200', '00201']);
    const json = JSON.parse(
      String((await scene.server.file('Hesper', '/api/students-file?format=json&find=00201')).body),
    ) as { id: string; given: string }[];
    expect(json).toMatchObject([{ id: '00201', given: 'Eve' }]);
  });

  it('are paged, each once, and 5,000 come in without a hitch', async () => {
    const many = Array.from({ length: 5000 }, (_, index) =>
      student(
        `Given${index % 70}`,
        `Family${String(index).padStart(4, '0')}`,
        `9${String(index).padStart(5, '0')}`,
        `Class ${index % 20}`,
      ),
    );
    expect(await importRoster(many)).toMatchObject({ added: 5000 });
    expect(await compare(many)).toMatchObject({ added: 0, changed: 0, same: 5000 });
    const seen = new Set<string>();
    let next: string | null = null;
    let pages = 0;
    do {
      const page: StudentsPage = await list(`?find=Family&after=${next ?? ''}`);
      page.rows.forEach(({ id }) => seen.add(id));
      next = page.next;
      pages += 1;
    } while (next !== null && pages < 60);
    expect([seen.size, pages]).toEqual([5000, 50]);
    expect(
      (await scene.server.as('Hesper', 'POST', '/api/roster-comparisons', { students: [...many, ...first] })).body,
    ).toMatchObject({ reason: 'invalid' });
  });

  it('a roster of another shape is refused with what is wrong', async () => {
    const good = student('Ann', 'Lee', '1');
    const refused = async (path: string, body: object): Promise<readonly string[]> => {
      const answer = await scene.server.as('Hesper', 'POST', path, body);
      expect([answer.status, answer.body.reason]).toEqual([400, 'invalid']);
      return (answer.body as { fields: { field: string }[] }).fields.map(({ field }) => field);
    };
    const [comparisons, imports] = ['/api/roster-comparisons', '/api/roster-imports'];
    expect(await refused(comparisons, { students: [] })).toEqual(['students']);
    expect(await refused(comparisons, { students: [{ ...good, role: 'administrator' }] })).toEqual(['students']);
    expect(await refused(comparisons, { students: [{ ...good, given: 'x'.repeat(200) }] })).toEqual(['students']);
    expect(await refused(comparisons, { students: [good], more: 1 })).toEqual(['more']);
    expect(await refused(comparisons, {})).toEqual(['students']);
    const request = { rosterComparisonId: newId(), leave: false, fileName: 'x' };
    expect(await refused(imports, { ...request, leave: 'no' })).toEqual(['leave']);
    expect(await refused(imports, { ...request, rosterComparisonId: 'x' })).toEqual(['rosterComparisonId']);
    expect(new Set(await refused(imports, {}))).toEqual(new Set(['fileName', 'leave', 'rosterComparisonId']));
  });

  it('a roster that was compared is imported by the same person, within a day', async () => {
    const request = {
      rosterComparisonId: await scene.compareRoster([student('Once', 'Sent', '77001')]),
      leave: false,
      fileName: 'x',
    };
    expect((await scene.server.as('Pell', 'POST', '/api/roster-imports', request)).status).toBe(404);
    const done = await scene.server.ok<RosterImportView>('Hesper', 'POST', '/api/roster-imports', request);
    expect(done).toMatchObject({ added: 1 });
    scene.server.clock.advance(24 * 3_600_000 + 1);
    expect((await scene.server.as('Hesper', 'POST', '/api/roster-imports', request)).status).toBe(404);
    scene.server.clock.advance(-24 * 3_600_000 - 1);
    // No more than a few are kept of one person.
    for (let count = 0; count < 7; count += 1) await scene.compareRoster([student('Once', 'Sent', '77001')]);
    expect(await scene.server.dataSource.getRepository(ComparedRoster).count()).toBe(5);
  });

  it('a roster that was compared is gone a day later, whether or not anyone compares another', async () => {
    await scene.compareRoster([student('Once', 'Sent', '77001')]);
    const rosters = scene.server.dataSource.getRepository(ComparedRoster);
    await rosters.updateAll({ comparedAt: new Date(scene.server.clock.now().getTime() - 24 * 3_600_000 - 1) });
    const second = await TestServer.start({ database: scene.server.database });
    try {
      expect(
        await until(
          () => rosters.count(),
          (count) => count === 0,
        ),
      ).toBe(0);
    } finally {
      await second.stop();
    }
  });

  it('undoing an import leaves alone what was done since, and says first what it would do', async () => {
    await scene.server.ok('Hesper', 'POST', '/api/student-erasures', { className: '9 Tern' });
    const first = await importRoster([
      student('Fern', 'Oak', '90001', '9 Tern'),
      student('Moss', 'Elm', '90002', '9 Tern'),
    ]);
    expect(first.added).toBe(2);
    const [fern, moss] = [...(await list('?class=9%20Tern')).rows].sort((one, other) =>
      one.given.localeCompare(other.given),
    ) as [StudentView, StudentView];
    const second = await importRoster([
      student('Fern', 'Oakley', '90001', '9 Tern'),
      student('Moss', 'Elmet', '90002', '9 Tern'),
      student('New', 'Ash', '90003', '9 Tern'),
      student('Card', 'Yew', '90004', '9 Tern'),
      student('Later', 'Fir', '90005', '9 Tern'),
    ]);
    const idOf = async (name: string): Promise<string> => (await list(`?find=${name}`)).rows[0]?.id ?? '';
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${moss.id}`, { version: moss.version + 1, year: '9' });
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${await idOf('Fir')}`, { version: 1, year: '9' });
    await scene.server.ok('Maren', 'POST', '/api/card-readings', { text: '90004' });
    const planned = await scene.server.ok<RosterUndoView>('Hesper', 'GET', `/api/roster-imports/${second.id}/undo`);
    expect(planned).toMatchObject({
      deleted: 1,
      someDeleted: ['New Ash, 9 Tern'],
      restored: 1,
      someRestored: ['Fern Oakley, 9 Tern'],
      untouched: 3,
    });
    expect(planned.someUntouched.map(({ name, why }) => [name, why]).sort()).toEqual([
      ['Card Yew, 9 Tern', 'card'],
      ['Later Fir, 9 Tern', 'changed'],
      ['Moss Elmet, 9 Tern', 'changed'],
    ]);
    expect(await scene.server.ok<RosterUndoView>('Hesper', 'DELETE', `/api/roster-imports/${second.id}`)).toEqual(
      planned,
    );
    expect([...names(await list('?class=9%20Tern'))].sort()).toEqual([
      'Card Yew',
      'Fern Oak',
      'Later Fir',
      'Moss Elmet',
    ]);
    expect((await list('?find=oak')).rows[0]?.id).toBe(fern.id);
  });
});
