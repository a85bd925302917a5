import type { ReadCardView, StudentsPage } from '@hapset/contract';
import { cardsRequest } from '../../test/cards-request.js';
import { student } from '../../test/route-bodies.js';
import { Scene } from '../../test/scene.js';

describe('everything about a student', () => {
  let scene: Scene;
  let studentId: string;
  let token: string;
  beforeAll(async () => {
    scene = await Scene.start();
    await scene.importRoster([
      { ...student, schoolId: '00771', given: '<b>Ann</b>', family: 'Tidefall', className: '6 Kestrel' },
      { ...student, schoolId: '00772', given: 'Somebody', family: 'Else', className: '6 Kestrel' },
    ]);
    await scene.importRoster([
      { ...student, schoolId: '00771', given: '<b>Ann</b>', family: 'Tidefall', className: '7 Heron' },
    ]);
    const { rows } = await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students?find=00771');
    studentId = rows[0]?.id ?? '';
    await scene.server.ok('Hesper', 'POST', '/api/student-cards', {
      request: { ...cardsRequest, code: 'token', studentIds: [studentId], fields: ['class', 'id'] },
    });
    token = await tokenOf();
    await scene.server.ok<ReadCardView>('Maren', 'POST', '/api/card-readings', { text: token });
    await scene.server.ok('Hesper', 'DELETE', `/api/students/${studentId}/card`);
  });
  afterAll(() => scene.stop());

  const tokenOf = async (): Promise<string> => {
    const rows = (await scene.server.dataSource.query('SELECT token FROM student_cards')) as { token: string }[];
    return rows[0]?.token ?? '';
  };
  const copy = () => scene.server.as('Hesper', 'GET', `/api/students/${studentId}/copy`);

  it('is one page with names, cards, prints, readings and imports, and nothing of others', async () => {
    const { text, headers, status } = await copy();
    expect(status).toBe(200);
    expect(headers['content-disposition']).toBe('attachment; filename="About a student.html"');
    expect(headers['cache-control']).toBe('no-store');
    for (const part of [
      '&lt;b&gt;Ann&lt;/b&gt; Tidefall',
      '00771',
      '7 Heron',
      token,
      '<td>Maren</td>',
      'Changed',
      'Added',
    ])
      expect(text).toContain(part);
    // What the roster said before the second import. The code is listed as made and as printed.
    expect(text).toContain(
      '<b>Ann</b> Tidefall, 6 Kestrel, 00771'.replace('<b>', '&lt;b&gt;').replace('</b>', '&lt;/b&gt;'),
    );
    expect(text.match(new RegExp(token, 'g'))).toHaveLength(2);
    expect(text).not.toContain('Somebody');
    expect(text).not.toMatch(/<(?:script|img|link|b)\b/);
  });

  it('is for the office, and its saving is recorded without a name', async () => {
    expect((await scene.server.as('Maren', 'GET', `/api/students/${studentId}/copy`)).status).toBe(403);
    expect((await scene.server.as('Hesper', 'GET', `/api/students/${crypto.randomUUID()}/copy`)).status).toBe(404);
    const rows = await scene.server.dataSource.query(
      "SELECT who, subject FROM activity_entries WHERE activity = 'student-copied'",
    );
    expect(rows).toEqual([{ who: 'Hesper', subject: '1' }]);
  });
});
