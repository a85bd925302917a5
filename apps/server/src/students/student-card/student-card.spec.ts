import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type {
  CardReadingsPage,
  CardsPreview,
  CardsRequest,
  PrintView,
  ReadCardView,
  ImportedStudent,
  StudentsPage,
  StudentView,
} from '@hapset/contract';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { renderPage } from '../../test/render-page.js';
import { Scene } from '../../test/scene.js';
import { until } from '../../test/until.js';
import { cardsRequest } from '../../test/cards-request.js';

const request: CardsRequest = { ...cardsRequest, fields: ['class', 'id'] };
const people = [
  'Ann Lee',
  'Nguyễn Tuyết',
  'Δήμητρα Παππά',
  'Олег Сидоров',
  'محمد علي',
  'דוד כהן',
  'अमित शर्मा',
  '太郎 山田',
  '민수 김',
  'Łukasz Wiśniewski',
  'O’Connor-Smith Mary',
  'Bo van der Berg',
];

describe('student cards', () => {
  const folder = mkdtempSync(join(tmpdir(), 'cards-'));
  let scene: Scene;
  let students: readonly StudentView[];
  beforeAll(async () => {
    scene = await Scene.start();
    const roster = people.map((name, index): ImportedStudent => ({
      schoolId: index === 11 ? null : `00${100 + index}`,
      prefix: '',
      given: name.split(' ')[0] ?? '',
      middle: '',
      family: name.split(' ').slice(1).join(' '),
      className: index % 2 === 0 ? '6 Kestrel' : '6 Heron',
      year: '6',
    }));
    await scene.importRoster(roster);
    students = (await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students')).rows;
  });
  afterAll(() => scene.stop());

  const make = async (change: Partial<CardsRequest> = {}): Promise<PrintView> =>
    scene.server.ok<PrintView>('Hesper', 'POST', '/api/student-cards', { request: { ...request, ...change } });
  const preview = (change: Partial<CardsRequest> = {}) =>
    scene.server.ok<CardsPreview>('Hesper', 'POST', '/api/student-card-previews', {
      request: { ...request, ...change },
      page: 0,
    });
  const readText = (text: string, who = 'Hesper') =>
    scene.server.ok<ReadCardView>(who, 'POST', '/api/card-readings', { text });
  /** What each of the ten cards of a page says, cropped card by card. */
  const cardsOf = async (print: PrintView, page: number): Promise<readonly string[]> => {
    const file = join(folder, `${print.id}.pdf`);
    writeFileSync(file, (await scene.server.file('Hesper', `/api/prints/${print.id}/file`)).body as Buffer);
    execFileSync('qpdf', ['--check', file]);
    const png = renderPage(file, page, 150);
    const px = (mm: number): number => Math.round((mm / 25.4) * 150);
    const cards = Array.from({ length: 10 }, (_, index) => ({
      left: px((210 - 171.2) / 2 + (index % 2) * 85.6),
      top: px((297 - 269.9) / 2 + Math.floor(index / 2) * 53.98),
      width: px(85.6) - 1,
      height: px(53.98) - 1,
    }));
    const read = cards.map(async (card) => {
      const { data, info } = await sharp(png).extract(card).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
      return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data ?? [];
    });
    return (await Promise.all(read)).flat();
  };

  it('are made for everybody by class and name, and each is read back as its student', async () => {
    const print = await make();
    expect(print).toMatchObject({
      kind: 'student-card',
      codes: 12,
      pages: 2,
      state: 'done',
      fileName: 'All classes, A4, 10 per page, student cards.pdf',
    });
    const texts = [...(await cardsOf(print, 1)), ...(await cardsOf(print, 2))];
    expect(texts).toHaveLength(12);
    expect(new Set(texts).size).toBe(12);
    for (const text of texts) expect(text).toMatch(/^HPC[2-9A-Z]{13}$/);
    const read = await Promise.all(texts.map((text) => readText(text)));
    expect(read.map(({ student }) => student?.name)).toEqual(students.map(({ name }) => name));
    expect(read.every(({ result, readingId }) => result === 'student' && readingId !== null)).toBe(true);
  });

  it('of namesakes in one class show their ids without being asked, and no others do', async () => {
    const namesake = (schoolId: string, className: string): ImportedStudent => ({
      schoolId,
      prefix: '',
      given: 'Sam',
      middle: '',
      family: 'Bellweather',
      className,
      year: '6',
    });
    await scene.importRoster([namesake('70001', '9 Tern'), namesake('70002', '9 Tern'), namesake('70003', '9 Skua')]);
    const ids = (await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students?find=Bellweather')).rows;
    const print = await make({ studentIds: ids.map(({ id }) => id), fields: ['class'] });
    const file = join(folder, 'namesakes.pdf');
    writeFileSync(file, (await scene.server.file('Hesper', `/api/prints/${print.id}/file`)).body as Buffer);
    const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
    expect(text.match(/7000\d/g)?.sort()).toEqual(['70001', '70002']);
    for (const { id } of ids) await scene.server.ok('Hesper', 'DELETE', `/api/students/${id}`);
  });

  it('carry nothing that a stranger could read, and mean nothing to strangers', async () => {
    const print = await make();
    const [text = ''] = await cardsOf(print, 1);
    for (const { name, schoolId } of students)
      for (const part of [...name.split(' '), schoolId ?? '-']) expect(text).not.toContain(part);
    expect((await scene.server.as(null, 'POST', '/api/card-readings', { text })).status).toBe(401);
  });

  it('have the same token on a reprint, and another one when a card is lost', async () => {
    const [before = ''] = await cardsOf(await make(), 1);
    const [again = ''] = await cardsOf(await make(), 1);
    expect(again).toBe(before);
    const [first] = students as readonly [StudentView];
    await scene.server.ok('Tobiah', 'DELETE', `/api/students/${first.id}/card`);
    expect(await readText(before)).toMatchObject({
      result: 'replaced',
      student: { name: first.name },
      readingId: null,
    });
    const lost = async () =>
      (await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students')).rows.find(({ id }) => id === first.id);
    expect(await lost()).toMatchObject({ cardMadeAt: null, cardLostAt: scene.server.clock.now().toISOString() });
    // Only who has none now gets a new one.
    expect(await preview({ onlyNew: true })).toMatchObject({ codes: 1 });
    const print = await make({ onlyNew: true });
    expect(print).toMatchObject({ codes: 1, fileName: `${first.name}, A4, 10 per page, student card.pdf` });
    const [fresh = ''] = await cardsOf(print, 1);
    expect(fresh).not.toBe(before);
    const now = scene.server.clock.now().toISOString();
    expect(await lost()).toMatchObject({ cardMadeAt: now, cardLostAt: null });
    expect(await readText(fresh)).toMatchObject({ result: 'student', student: { id: first.id } });
    expect(await preview({ onlyNew: true })).toMatchObject({ codes: 0 });
    expect(
      (await scene.server.as('Hesper', 'POST', '/api/student-cards', { request: { ...request, onlyNew: true } })).body,
    ).toMatchObject({ reason: 'invalid' });
  });

  it('say id, or id and name, where the school chose that; who has no id is named', async () => {
    expect((await preview({ code: 'id' })).withoutId).toEqual(['Bo van der Berg']);
    const ids = await cardsOf(await make({ code: 'id', classNames: ['6 Kestrel'] }), 1);
    expect(ids[0]).toMatch(/^00\d{3}$/);
    const clear = await cardsOf(await make({ code: 'id-and-name', classNames: ['6 Kestrel'] }), 1);
    expect(clear).toHaveLength(6);
    for (const text of [ids[0] ?? '', clear[0] ?? ''])
      expect(await readText(text)).toMatchObject({ result: 'student', student: { schoolId: ids[0] } });
    // An id with another one's name is nobody's card.
    expect(await readText(`${ids[0] ?? ''} Somebody Else`)).toMatchObject({ result: 'unknown', student: null });
  });

  it('tell what is no card, what was misread, and who has left', async () => {
    expect(await readText('https://a.example')).toMatchObject({ result: 'unknown' });
    const [token = ''] = await cardsOf(await make({ classNames: ['6 Heron'] }), 1);
    expect(await readText(`${token.slice(0, -1)}${token.endsWith('2') ? '3' : '2'}`)).toMatchObject({
      result: 'misread',
    });
    expect(await readText(token.toLowerCase())).toMatchObject({ result: 'student' });
    const id = (await readText(token)).student?.id ?? '';
    const { version } = (await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students')).rows.find(
      (row) => row.id === id,
    ) as StudentView;
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${id}`, { version, left: true });
    expect(await readText(token)).toMatchObject({ result: 'left', student: { id }, readingId: null });
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${id}`, { version: version + 1, left: false });
  });

  it('that are read are in one’s own list, once in a minute, and are saved as CSV', async () => {
    const mine = () => scene.server.ok<CardReadingsPage>('Tobiah', 'GET', '/api/card-readings');
    expect(await mine()).toEqual({ rows: [], total: 0, byId: 0 });
    const [token = ''] = await cardsOf(await make({ classNames: ['6 Kestrel'] }), 1);
    const once = await readText(token, 'Tobiah');
    expect((await readText(token, 'Tobiah')).readingId).toBe(once.readingId);
    scene.server.clock.advance(59_000);
    expect((await readText(token, 'Tobiah')).readingId).toBe(once.readingId);
    scene.server.clock.advance(1001);
    await readText(token, 'Tobiah');
    expect((await mine()).total).toBe(2);
    const csv = String((await scene.server.file('Tobiah', '/api/card-readings.csv')).body);
    expect(csv.split('\r\n')[0]).toBe('\ufeffRead at,Name,Class,Id,By');
    expect(csv).toContain(once.student?.name ?? 'nobody');
    await scene.server.ok('Tobiah', 'DELETE', `/api/card-readings/${once.readingId ?? ''}`);
    expect((await mine()).total).toBe(1);
  });

  it('an id that was typed is no card, until the card is read as well', async () => {
    const ids = await cardsOf(await make({ code: 'id', classNames: ['6 Kestrel'] }), 1);
    const [schoolId = ''] = ids;
    const typed = (text: string) =>
      scene.server.ok<ReadCardView>('Pell', 'POST', '/api/card-readings', { text, typed: true });
    const mine = () => scene.server.ok<CardReadingsPage>('Pell', 'GET', '/api/card-readings');
    const { readingId } = await typed(schoolId);
    expect(await mine()).toMatchObject({ total: 1, byId: 1, rows: [{ id: readingId, byId: true }] });
    expect(String((await scene.server.file('Pell', '/api/card-readings.csv')).body)).toMatch(/,id\r\n/);
    expect((await readText(schoolId, 'Pell')).readingId).toBe(readingId);
    expect(await mine()).toMatchObject({ total: 1, byId: 0, rows: [{ byId: false }] });
    // The letters of a token are on the card alone.
    const [token = ''] = await cardsOf(await make({ classNames: ['6 Heron'] }), 1);
    await typed(token);
    expect(await mine()).toMatchObject({ total: 2, byId: 0 });
    for (const { id } of (await mine()).rows) await scene.server.ok('Pell', 'DELETE', `/api/card-readings/${id}`);
  });

  it('that waited for the server keep their time, and are one reading however often they are sent', async () => {
    const [token = ''] = await cardsOf(await make({ classNames: ['6 Kestrel'] }), 1);
    const hourMs = 3600_000;
    const send = async (waitedMs: number) =>
      (await scene.server.as('Pell', 'POST', '/api/card-readings', { text: token, waitedMs })) as {
        status: number;
        body: ReadCardView;
      };
    const first = await send(hourMs);
    expect((await send(hourMs + 900)).body.readingId).toBe(first.body.readingId);
    await send(2 * hourMs);
    const { rows } = await scene.server.ok<CardReadingsPage>('Pell', 'GET', '/api/card-readings');
    const now = scene.server.clock.now().getTime();
    expect(rows.map(({ readAt }) => (now - Date.parse(readAt)) / hourMs)).toEqual([2, 1]);
    for (const wrong of [25 * hourMs, -1, 0.5]) expect((await send(wrong)).status).toBe(400);
  });

  it('show a symbol, are laid out in all sizes, and have backs', async () => {
    for (const perPage of [8, 10, 24])
      expect(await preview({ perPage })).toMatchObject({ codes: 12, problem: null, pages: Math.ceil(12 / perPage) });
    const plain = await preview();
    const shown = await preview({ symbol: 'snail', backs: true });
    expect(plain.svg).not.toContain('<image');
    expect(shown.svg).toContain('<image');
    expect(shown.pages).toBe(4);
    expect(plain.notices).toEqual([]);
    expect(plain.sample?.sizeMm).toBeGreaterThan(25);
    expect((await preview({ symbol: 'no-such-icon' })).svg).not.toContain('<image');
  });

  it('of 400 are one action with progress, and are gone with a student who is erased', async () => {
    const many = Array.from({ length: 400 }, (_, index): ImportedStudent => ({
      schoolId: `7${String(index).padStart(4, '0')}`,
      prefix: '',
      given: 'Given',
      middle: '',
      family: `Family ${index}`,
      className: 'Year 7',
      year: '7',
    }));
    await scene.importRoster(many);
    const made = await make({ classNames: ['Year 7'] });
    expect(made).toMatchObject({
      codes: 400,
      pages: 40,
      state: 'drawing',
      fileName: 'Year 7, A4, 10 per page, student cards.pdf',
    });
    const done = await until(
      () => scene.server.ok<PrintView>('Hesper', 'GET', `/api/prints/${made.id}`),
      ({ state }) => state === 'done',
      60_000,
    );
    expect(done).toMatchObject({ state: 'done', drawn: 40 });
    expect(((await scene.server.file('Hesper', `/api/prints/${made.id}/file`)).body as Buffer).length).toBeLessThan(
      1_000_000,
    );
    const [first] = (await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students?class=Year%207')).rows as [
      StudentView,
    ];
    await scene.server.ok('Hesper', 'DELETE', `/api/students/${first.id}`);
    for (const table of ['student_cards', 'printed_cards', 'card_readings'])
      expect(await scene.server.dataSource.query(`SELECT id FROM ${table} WHERE student_id = ?`, [first.id])).toEqual(
        [],
      );
    expect((await scene.server.as('Hesper', 'GET', `/api/prints/${made.id}/file`)).body).toMatchObject({
      reason: 'gone',
      message: 'A student on it was erased, and its file with them.',
    });
    expect(await scene.server.ok<PrintView>('Hesper', 'GET', `/api/prints/${made.id}`)).toMatchObject({
      state: 'erased',
      codes: 399,
      canBeDrawnAgain: true,
    });
  });

  it('are previewed for the latest request alone, and others are told so', async () => {
    const asked = await Promise.all(
      Array.from(
        { length: 8 },
        async (_, page) => await scene.server.as('Hesper', 'POST', '/api/student-card-previews', { request, page }),
      ),
    );
    const statuses = asked.map(({ status }) => status);
    expect(statuses.filter((status) => status === 200).length).toBeGreaterThanOrEqual(2);
    expect(statuses.filter((status) => status === 409).length).toBeGreaterThanOrEqual(1);
    for (const { status, body } of asked) if (status === 409) expect(body).toMatchObject({ reason: 'superseded' });
  });
});
