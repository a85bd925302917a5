import { mkdtempSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import { execFileSync } from 'node:child_process';
import type { CardsRequest, PrintView, ImportedStudent, StudentGroups, StudentsPage } from '@hapset/contract';
import { SheetWorkers } from '../../paper/sheet/sheet-workers.js';
import { Scene } from '../../test/scene.js';
import { until } from '../../test/until.js';
import { cardsRequest } from '../../test/cards-request.js';

const request: CardsRequest = { ...cardsRequest, code: 'id-and-name', fields: ['class', 'id'] };
/** Names that occur nowhere else. */
const planted = ['Quillavine Brackwater', 'Morwenna Tidefall', 'Jorundas Skerryvore'];

describe('an erased student', () => {
  const filesFolder = mkdtempSync(join(tmpdir(), 'hapset-erased-'));
  let log = '';
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start({
      filesFolder,
      logTo: new Writable({ write: (chunk: Buffer, _encoding, done) => ((log += chunk.toString()), done()) }),
    });
  });
  afterAll(() => scene.stop());

  const rosterOf = (names: readonly string[], className: string): ImportedStudent[] =>
    names.map((name, index) => ({
      schoolId: `${className}-${4000 + index}`,
      prefix: '',
      given: name.split(' ')[0] ?? '',
      middle: '',
      family: name.split(' ')[1] ?? '',
      className,
      year: '6',
    }));
  const importRoster = (students: readonly ImportedStudent[], fileName: string) =>
    scene.importRoster(students, { fileName });
  const idOf = async (name: string): Promise<string> =>
    (await scene.server.ok<StudentsPage>('Hesper', 'GET', `/api/students?find=${encodeURIComponent(name)}`)).rows[0]
      ?.id ?? '';
  const make = (change: Partial<CardsRequest>) =>
    scene.server.ok<PrintView>('Hesper', 'POST', '/api/student-cards', { request: { ...request, ...change } });
  const stateOf = async (print: PrintView): Promise<string> =>
    (await scene.server.as('Hesper', 'GET', `/api/prints/${print.id}`)).body.state as string;

  /** Tables and columns that hold the text. */
  async function tablesWith(text: string): Promise<readonly string[]> {
    const columns = (await scene.server.dataSource.query(
      "SELECT table_name AS tableName, column_name AS columnName FROM information_schema.columns WHERE table_schema = DATABASE() AND data_type IN ('varchar', 'char', 'text', 'longtext', 'mediumtext', 'mediumblob', 'longblob', 'blob')",
    )) as { tableName: string; columnName: string }[];
    const found: string[] = [];
    for (const { tableName, columnName } of columns) {
      const [row] = (await scene.server.dataSource.query(
        `SELECT COUNT(*) AS count FROM \`${tableName}\` WHERE CONVERT(\`${columnName}\` USING utf8mb4) LIKE ?`,
        [`%${text}%`],
      )) as { count: string }[];
      if (Number(row?.count) > 0) found.push(`${tableName}.${columnName}`);
    }
    return found;
  }

  /** Files whose name or text holds it; of a PDF the text that is read from it. */
  function filesWith(text: string): readonly string[] {
    const files = readdirSync(filesFolder, { recursive: true, encoding: 'utf8' }).filter((name) =>
      statSync(join(filesFolder, name)).isFile(),
    );
    return files.filter((name) => {
      const bytes = readFileSync(join(filesFolder, name));
      const read =
        bytes.subarray(0, 5).toString() === '%PDF-'
          ? execFileSync('pdftotext', [join(filesFolder, name), '-']).toString()
          : '';
      return name.includes(text) || bytes.includes(text) || read.includes(text);
    });
  }

  it('is found in no table, no file and no log: done, drawn as one card, and just being drawn', async () => {
    const crowd = Array.from({ length: 300 }, (_, index) => `Pupil Number${index}`);
    await importRoster(rosterOf([...planted, ...crowd], '6 Kestrel'), 'Quillavine Brackwater moved up.csv');
    const ids = await Promise.all(planted.map(idOf));
    // One of each: a print of one card, whose file is named after the student; a long one that is done; a list; a change since.
    const alone = await make({ studentIds: [ids[0] ?? ''] });
    const whole = await make({});
    await until(
      () => stateOf(whole),
      (state) => state === 'done',
      60_000,
    );
    expect(filesWith('Brackwater')).toHaveLength(1);
    await scene.server.ok('Maren', 'POST', '/api/card-readings', { text: '6 Kestrel-4000 Quillavine Brackwater' });
    await importRoster(
      rosterOf([planted[1] ?? ''], '7 Heron').map((student) => ({ ...student, schoolId: '6 Kestrel-4001' })),
      'second.csv',
    );
    for (const name of planted) expect((await tablesWith(name.split(' ')[1] ?? '')).length).toBeGreaterThan(0);
    // A failure of the database right where a name is written.
    await scene.server.dataSource.query('RENAME TABLE students TO students_away');
    expect(
      (await scene.server.as('Hesper', 'GET', `/api/students?find=${encodeURIComponent(planted[0] ?? '')}`)).status,
    ).toBe(500);
    expect(
      (
        await scene.server.as('Hesper', 'POST', '/api/roster-comparisons', {
          students: rosterOf([planted[2] ?? ''], '6 Heron'),
        })
      ).status,
    ).toBe(500);
    await scene.server.dataSource.query('RENAME TABLE students_away TO students');

    // Held back until the students are gone: it draws what it was given before.
    const workers = scene.server.app.get(SheetWorkers, { strict: false });
    const ask = workers.ask.bind(workers);
    let release = (): void => undefined;
    const gate = new Promise<void>((resolve) => (release = resolve));
    const held = jest.spyOn(workers, 'ask').mockImplementation(async (ownerId, task, options) => {
      if (task.kind === 'pdf') await gate;
      return ask(ownerId, task, options);
    });
    const running = await make({});
    await until(
      () => Promise.resolve(held.mock.calls.some(([, { kind }]) => kind === 'pdf')),
      (begun) => begun,
    );
    for (const id of ids) expect((await scene.server.as('Hesper', 'DELETE', `/api/students/${id}`)).status).toBe(200);
    release();
    expect(
      await until(
        () => stateOf(running),
        (state) => state === 'done',
        60_000,
      ),
    ).toBe('done');
    // Whatever was being drawn with them was given up; the last drawing is without them.
    const given = held.mock.calls.flatMap(([, { kind }, options]) => (kind === 'pdf' ? [options?.stop?.aborted] : []));
    expect(given.length).toBeGreaterThan(1);
    expect(given).toEqual([...given.slice(1).map(() => true), false]);
    held.mockRestore();
    const drawn = await scene.server.ok<PrintView>('Hesper', 'GET', `/api/prints/${running.id}`);
    expect(drawn.codes).toBe(300);
    // Nobody is left on it: the list says why, and no name.
    expect(await scene.server.ok<PrintView>('Hesper', 'GET', `/api/prints/${alone.id}`)).toMatchObject({
      state: 'erased',
      codes: 0,
      fileName: 'student cards.pdf',
      canBeDrawnAgain: false,
    });

    for (const name of planted) {
      for (const part of name.split(' ')) {
        expect([part, await tablesWith(part)]).toEqual([part, []]);
        expect([part, filesWith(part)]).toEqual([part, []]);
        expect(log).not.toContain(part);
      }
    }
    expect(log).toContain('ER_NO_SUCH_TABLE');
    expect(filesWith('Number299')).toHaveLength(1);
  }, 150_000);

  it('goes with all of a class, or with all who left, where the office says so', async () => {
    await importRoster(rosterOf(['Ann Lee', 'Bo Dam'], '8 Wren'), 'w.csv');
    await scene.server.ok('Hesper', 'POST', '/api/class-departures', { className: '6 Kestrel' });
    expect((await scene.server.as('Maren', 'POST', '/api/student-erasures', { className: null })).status).toBe(403);
    expect(
      await scene.server.ok<StudentGroups>('Hesper', 'POST', '/api/student-erasures', { className: null }),
    ).toMatchObject({ students: 2, left: 0 });
    expect(
      await scene.server.ok<StudentGroups>('Hesper', 'POST', '/api/student-erasures', { className: '8 Wren' }),
    ).toMatchObject({ students: 0, left: 0 });
  });
});
