/** What thirty connections do at the same moment, wherever one is right and thirty are wrong. */
import request from 'supertest';
import type {
  CardReadingsPage,
  CardsRequest,
  FilesPage,
  MaterialPage,
  ImportedStudent,
  StudentGroups,
  StudentsPage,
} from '@hapset/contract';
import { JobService } from '../platform/queue/job.service.js';
import { Job } from '../platform/queue/job.entity.js';
import { StudentCard } from '../students/student-card/student-card.entity.js';
import { link, Scene } from './scene.js';
import { uploaded } from './upload.js';
import { cardsRequest } from './cards-request.js';

const connections = 30;
const cards: CardsRequest = { ...cardsRequest, fields: [] };
const roster = Array.from({ length: 60 }, (_, index): ImportedStudent => ({
  schoolId: `00${100 + index}`,
  prefix: '',
  given: 'Pupil',
  middle: '',
  family: `Number${index}`,
  className: '6',
  year: '',
}));

describe('at the same moment', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
    for (const who of ['Maren', 'Hesper']) await scene.server.cookieOf(who);
  });
  afterAll(() => scene.stop());

  const atOnce = <T>(work: (index: number) => Promise<T>): Promise<Awaited<T>[]> =>
    Promise.all(Array.from({ length: connections }, (_, index) => work(index)));
  const statuses = (answers: readonly request.Response[]): Readonly<Record<string, number>> => {
    const counts: Record<string, number> = {};
    for (const { status } of answers) counts[status] = (counts[status] ?? 0) + 1;
    return counts;
  };

  it('the same roster makes each student once', async () => {
    const request = { rosterComparisonId: await scene.compareRoster(roster), leave: false, fileName: 'x' };
    const answers = await atOnce(async () => await scene.server.as('Hesper', 'POST', '/api/roster-imports', request));
    expect(statuses(answers)).toEqual({ 201: connections });
    expect(answers.map(({ body }) => body.added as number).filter((added) => added > 0)).toEqual([60]);
    expect(await scene.server.ok<StudentGroups>('Hesper', 'GET', '/api/student-groups')).toMatchObject({
      students: 60,
    });
  });

  it('the same cards carry the same token', async () => {
    const answers = await atOnce(
      async () => await scene.server.as('Hesper', 'POST', '/api/student-cards', { request: cards }),
    );
    expect(statuses(answers)).toEqual({ 201: connections });
    const rows = await scene.server.dataSource.getRepository(StudentCard).find();
    expect([rows.length, new Set(rows.map(({ studentId }) => studentId)).size]).toEqual([60, 60]);
    const printed = (await scene.server.dataSource.query(
      "SELECT student_id AS id, COUNT(DISTINCT JSON_VALUE(content, '$.payload')) AS payloads FROM printed_cards GROUP BY student_id",
    )) as { payloads: string }[];
    expect(new Set(printed.map(({ payloads }) => Number(payloads)))).toEqual(new Set([1]));
  });

  it('one card is one reading', async () => {
    const [card] = await scene.server.dataSource.getRepository(StudentCard).find({ take: 1 });
    const answers = await atOnce(
      async () => await scene.server.as('Maren', 'POST', '/api/card-readings', { text: card?.token }),
    );
    expect(statuses(answers)).toEqual({ 200: connections });
    expect(new Set(answers.map(({ body }) => body.readingId as string)).size).toBe(1);
    expect((await scene.server.ok<CardReadingsPage>('Maren', 'GET', '/api/card-readings')).total).toBe(1);
  });

  it('one upload is one file', async () => {
    const uploadId = await uploaded(scene, 'thirty times the same');
    const answers = await atOnce(
      async () => await scene.server.as('Maren', 'POST', '/api/files', { uploadId, name: 'words.txt' }),
    );
    const counted = statuses(answers);
    expect(counted['201']).toBe(1);
    expect(Object.keys(counted).every((status) => ['201', '404', '409'].includes(status))).toBe(true);
    expect((await scene.server.ok<FilesPage>('Maren', 'GET', '/api/files')).rows).toHaveLength(1);
  });

  it('one key is one job', async () => {
    const jobs = scene.server.app.get(JobService);
    await atOnce(() => jobs.enqueue({ kind: 'nobody-does-this', subject: 'x' }));
    expect(await scene.server.dataSource.getRepository(Job).countBy({ kind: 'nobody-does-this' })).toBe(1);
  });

  it('one material has one short link', async () => {
    const [station = ''] = await scene.stations(await scene.lesson(), [link('https://a.example/x')]);
    const { material } = await scene.page(station);
    await atOnce(
      async () =>
        await scene.server.as('Maren', 'PATCH', `/api/materials/${material.id}`, { version: 1, carry: 'short-link' }),
    );
    const rows = (await scene.server.dataSource.query('SELECT slug FROM short_links WHERE material_id = ?', [
      material.id,
    ])) as { slug: string }[];
    expect(rows).toHaveLength(1);
    const { shortLink } = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${material.id}`);
    expect(shortLink?.slug).toBe(rows[0]?.slug);
  });

  it('an import is undone once', async () => {
    const [first] = roster;
    if (!first) throw new Error('the roster is empty');
    const extra = await scene.importRoster([{ ...first, schoolId: '00999', family: 'Late' }]);
    const answers = await atOnce(
      async () => await scene.server.as('Hesper', 'DELETE', `/api/roster-imports/${extra.id}`),
    );
    expect(statuses(answers)).toEqual({ 200: 1, 409: connections - 1 });
    expect((await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students?find=Late')).total).toBe(0);
  });
});
