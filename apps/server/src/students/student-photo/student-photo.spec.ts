import type { ImportedStudent, PhotoMatches, PrintView, SchoolView, StudentsPage, StudentView } from '@hapset/contract';
import sharp from 'sharp';
import { cardsRequest } from '../../test/cards-request.js';
import { Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { until } from '../../test/until.js';
import { StudentPhoto } from './student-photo.entity.js';

/** A portrait that is drawn: a head and shoulders, with what a camera writes into a file. */
async function portrait(colour: string, widthPx = 600, heightPx = 900): Promise<string> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${widthPx}" height="${heightPx}" viewBox="0 0 60 90"><rect width="60" height="90" fill="${colour}"/><circle cx="30" cy="35" r="14" fill="#e8b98f"/><ellipse cx="30" cy="82" rx="24" ry="28" fill="#345"/></svg>`;
  const bytes = await sharp(Buffer.from(svg))
    .withExif({ IFD0: { Artist: 'A camera that tells' }, IFD3: { GPSLatitudeRef: 'N' } })
    .jpeg()
    .toBuffer();
  return bytes.toString('base64');
}

const student = (schoolId: string, given: string, family: string, className: string): ImportedStudent => ({
  schoolId,
  prefix: '',
  given,
  middle: '',
  family,
  className,
  year: '6',
});

describe('photos of students', () => {
  let scene: Scene;
  let ids: Readonly<Record<string, string>>;
  beforeAll(async () => {
    scene = await Scene.start();
    await scene.importRoster([
      student('61001', 'Ann', 'Lee', '6 Heron'),
      student('61002', 'Bo', 'Dam', '6 Heron'),
      student('61003', 'Cy', 'Fen', '6 Kestrel'),
      student('61004', 'Di', 'Moss', '6 Kestrel'),
    ]);
    const { rows } = await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students');
    ids = Object.fromEntries(rows.map(({ given, id }) => [given, id]));
  });
  afterAll(() => scene.stop());

  const switchTo = async (studentPhotos: boolean): Promise<void> => {
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, studentPhotos });
  };
  const pathOf = (given: string): string => `/api/students/${ids[given] ?? ''}/photo`;
  const add = async (given: string, picture?: string) =>
    scene.server.as('Hesper', 'PUT', pathOf(given), { picture: picture ?? (await portrait('#9cf')) });
  const viewOf = async (given: string): Promise<StudentView | undefined> =>
    (await scene.server.ok<StudentsPage>('Hesper', 'GET', `/api/students?find=${given}`)).rows[0];
  const photos = () => scene.server.dataSource.getRepository(StudentPhoto).count();

  it('are not there until an administrator switches them on', async () => {
    expect((await add('Ann')).status).toBe(404);
    expect((await scene.server.as('Hesper', 'POST', '/api/photo-matches', { files: ['a.jpg'] })).status).toBe(404);
    const school = await scene.server.ok<SchoolView>('Hesper', 'GET', '/api/school');
    expect((await scene.server.as('Hesper', 'PATCH', '/api/school', { ...school, studentPhotos: true })).status).toBe(
      403,
    );
    await switchTo(true);
    expect((await add('Ann')).status).toBe(200);
  });

  it('are made small, cut to 4:5, and say nothing of the camera', async () => {
    expect((await viewOf('Ann'))?.photoAt).toBe(scene.server.clock.now().toISOString());
    const file = (await scene.server.file('Maren', pathOf('Ann'))).body as Buffer;
    const { width, height, format, exif } = await sharp(file).metadata();
    expect([width, height, format, exif]).toEqual([384, 480, 'jpeg', undefined]);
    expect(file.includes('camera')).toBe(false);
    expect((await add('Bo', Buffer.from('no picture at all').toString('base64'))).body).toMatchObject({
      reason: 'unusable-picture',
    });
    expect((await add('Bo', 'not base64!')).status).toBe(400);
  });

  it('are for staff alone, and added by the office', async () => {
    expect((await scene.server.as(null, 'GET', pathOf('Ann'))).status).toBe(401);
    expect((await scene.server.as('Maren', 'PUT', pathOf('Ann'), { picture: await portrait('#fff') })).status).toBe(
      403,
    );
    expect((await scene.server.as('Maren', 'DELETE', pathOf('Ann'))).status).toBe(403);
    await scene.server.ok('Pell', 'PUT', '/api/school/teacher-classes', { limited: [] });
    expect((await scene.server.as('Maren', 'GET', pathOf('Ann'))).status).toBe(404);
    await scene.server.ok('Pell', 'PUT', '/api/school/teacher-classes', { limited: null });
  });

  it('are matched by id and name', async () => {
    const files = ['6 Heron/61001.jpg', 'Dam_Bo.png', 'nobody.jpg'];
    const { students } = await scene.server.ok<PhotoMatches>('Hesper', 'POST', '/api/photo-matches', { files });
    expect(students.map((one) => one?.name ?? null)).toEqual(['Ann Lee', 'Bo Dam', null]);
  });

  const make = (given: readonly string[], more: object = {}) =>
    scene.server.ok<PrintView>('Hesper', 'POST', '/api/student-cards', {
      request: { ...cardsRequest, fields: ['class', 'photo'], studentIds: given.map((one) => ids[one] ?? ''), ...more },
    });
  const fileOf = async ({ id }: PrintView): Promise<Buffer> =>
    (await scene.server.file('Hesper', `/api/prints/${id}/file`)).body as Buffer;
  const imagesIn = (pdf: Buffer): number => pdf.toString('latin1').split('/DCTDecode').length - 1;

  it('are on the cards of those who have one, where that is wished', async () => {
    await add('Bo', await portrait('#fc9', 900, 600));
    const print = await make(['Ann', 'Bo', 'Cy']);
    expect(imagesIn(await fileOf(print))).toBe(2);
    expect(imagesIn(await fileOf(await make(['Ann', 'Bo', 'Cy'], { fields: ['class'] })))).toBe(0);
    const copy = String((await scene.server.file('Hesper', `/api/students/${ids.Ann ?? ''}/copy`)).body);
    expect(copy).toContain('data:image/jpeg;base64,');
  });

  it('are deleted when a student leaves, and what was printed shows them no more', async () => {
    await add('Cy');
    const print = await make(['Ann', 'Cy']);
    const cy = await viewOf('Cy');
    await scene.server.ok('Hesper', 'PATCH', `/api/students/${ids.Cy ?? ''}`, { version: cy?.version, left: true });
    expect(await photos()).toBe(2);
    expect((await scene.server.as('Hesper', 'GET', pathOf('Cy'))).status).toBe(404);
    expect((await add('Cy')).status).toBe(404);
    expect(imagesIn(await fileOf(print))).toBe(1);
    await add('Di');
    await scene.server.ok('Hesper', 'POST', '/api/student-departures', { studentIds: [ids.Di], left: true });
    expect(await photos()).toBe(2);
  });

  it('are deleted with a student who is erased, and by hand', async () => {
    await scene.server.ok('Hesper', 'DELETE', `/api/students/${ids.Bo ?? ''}`);
    expect(await photos()).toBe(1);
    expect(await scene.server.ok<StudentView>('Hesper', 'DELETE', pathOf('Ann'))).toMatchObject({ photoAt: null });
    expect(await photos()).toBe(0);
  });

  it('are not served once the school has switched them off, and all are deleted then', async () => {
    await add('Ann');
    await switchTo(false);
    expect(await viewOf('Ann')).toMatchObject({ photoAt: null });
    expect((await scene.server.as('Hesper', 'GET', pathOf('Ann'))).status).toBe(404);
    const second = await TestServer.start({ database: scene.server.database });
    try {
      expect(await until(photos, (count) => count === 0)).toBe(0);
    } finally {
      await second.stop();
    }
  });
});
