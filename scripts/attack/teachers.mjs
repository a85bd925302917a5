// What a teacher with bad intentions tries, or many people at once.
import { randomUUID } from 'node:crypto';
import { crowd, tally } from './target.mjs';

const maren = 'maren.dallow';
const office = 'hesper.tolland';
const student = (index, className) => ({
  schoolId: `A${String(index).padStart(6, '0')}`,
  prefix: '',
  given: 'Pupil',
  middle: '',
  family: `Number${index}`,
  className,
  year: '',
});

export const teachers = [
  {
    number: 7,
    name: 'four pictures of 196 megapixels take no memory',
    async attack(target) {
      const { default: sharp } = await import('sharp');
      const bytes = await sharp({
        create: { width: 14_000, height: 14_000, channels: 3, background: '#446688' },
        limitInputPixels: false,
      })
        .jpeg({ quality: 20 })
        .toBuffer();
      const uploads = await Promise.all(Array.from({ length: 4 }, () => target.upload(bytes, maren)));
      const before = target.residentMb('server');
      const answers = await Promise.all(
        uploads.map((uploadId) =>
          target.ask('POST', '/api/files', { who: maren, body: { uploadId, name: 'huge.jpg' } }),
        ),
      );
      const grown = Math.round(target.residentMb('server') - before);
      return {
        held: answers.every(({ status }) => status === 422) && grown < 300,
        detail: `answered ${tally(answers)}; the server took ${grown} MB more`,
      };
    },
  },
  {
    number: 9,
    name: 'the same roster from 30 connections makes each student once',
    async attack(target) {
      const students = Array.from({ length: 60 }, (_, index) => student(index, 'Race'));
      const { id } = await target.ok('POST', '/api/roster-comparisons', { who: office, body: { students } });
      const body = { rosterComparisonId: id, leave: false, fileName: 'race.csv' };
      const answers = await crowd(30, () => target.ask('POST', '/api/roster-imports', { who: office, body }));
      const { total } = await target.ok('GET', '/api/students?class=Race', { who: office });
      return { held: total === 60, detail: `${total} students of 60; answered ${tally(answers)}` };
    },
  },
  {
    number: 11,
    name: 'an expired page takes its files with it',
    async attack(target) {
      const file = await target.ok('POST', '/api/files', {
        who: maren,
        body: { uploadId: await target.upload(Buffer.from('a few words'), maren), name: 'words.txt' },
      });
      const made = await target.ok('POST', '/api/materials', {
        who: maren,
        body: {
          items: [
            { kept: { kind: 'file', fileId: file.id, transcript: '', captionsId: null }, pasted: 'x', repairs: [] },
          ],
        },
      });
      const before = (await target.ask('GET', file.address)).status;
      await target.ok('PATCH', `/api/materials/${made.materialIds[0]}`, {
        who: maren,
        body: { version: 1, shownUntil: '2020-01-01' },
      });
      const after = (await target.ask('GET', file.address)).status;
      return { held: before === 200 && after === 404, detail: `${before} before, ${after} after` };
    },
  },
  {
    number: 12,
    name: 'no header names a file of the server',
    async attack(target) {
      const begun = await target.ask('POST', '/api/uploads', {
        who: maren,
        headers: { 'Tus-Resumable': '1.0.0', 'Upload-Length': '4', 'X-Hapset-Upload': '../../outside' },
      });
      const location = begun.headers.get('location') ?? '';
      return { held: /\/[0-9a-f-]{36}$/.test(location), detail: `stored as ${location.split('/').at(-1)}` };
    },
  },
  {
    number: 15,
    name: 'links lead to http and https alone',
    async attack(target) {
      const schemes = ['javascript:alert(1)', 'data:text/html,x', 'file:///etc/passwd', 'vbscript:x', 'intent://x'];
      const answers = await Promise.all(
        schemes.map((link) =>
          target.ask('POST', '/api/materials', { who: maren, body: { items: [{ link, pasted: link, repairs: [] }] } }),
        ),
      );
      return { held: answers.every(({ status }) => status === 400), detail: `answered ${tally(answers)}` };
    },
  },
  {
    number: 16,
    name: 'rosters are the office’s: a teacher imports, exports and erases none',
    async attack(target) {
      const answers = await Promise.all([
        target.ask('POST', '/api/roster-comparisons', { who: maren, body: { students: [student(1, 'x')] } }),
        target.ask('POST', '/api/roster-imports', {
          who: maren,
          body: { rosterComparisonId: randomUUID(), leave: false, fileName: 'x' },
        }),
        target.ask('GET', '/api/students-file?format=csv', { who: maren }),
        target.ask('POST', '/api/student-erasures', { who: maren, body: { className: null } }),
        target.ask('GET', '/api/roster-imports', { who: maren }),
      ]);
      return { held: answers.every(({ status }) => status === 403), detail: `answered ${tally(answers)}` };
    },
  },
  {
    number: 17,
    name: 'forty previews of 7,000 cards let short links pass',
    async attack(target) {
      for (const from of [0, 3500])
        await importRoster(
          target,
          Array.from({ length: 3500 }, (_, index) => student(10_000 + from + index, `C${Math.floor(index / 100)}`)),
        );
      const request = {
        classNames: [],
        studentIds: [],
        onlyNew: false,
        code: 'token',
        perPage: 10,
        paper: 'A4',
        fields: ['class'],
        symbol: null,
        backs: false,
        templateId: null,
      };
      const slug = (await target.ok('GET', '/api/short-links', { who: maren })).rows[0]?.slug ?? 'CDFGHJKM';
      const times = [];
      let going = true;
      const opening = (async () => {
        while (going) {
          const began = performance.now();
          await target.ask('GET', `/K/${slug}`);
          times.push(performance.now() - began);
          await new Promise((resolve) => setTimeout(resolve, 10));
        }
      })();
      const answers = await crowd(40, (index) =>
        target.ask('POST', '/api/student-card-previews', { who: office, body: { request, page: index } }),
      );
      going = false;
      await opening;
      times.sort((one, other) => one - other);
      const drawn = answers.filter(({ status }) => status === 200).length;
      return {
        held: drawn >= 1 && answers.every(({ status }) => status === 200 || status === 409),
        detail: `answered ${tally(answers)}; short links took ${Math.round(times[times.length >> 1] ?? 0)} ms in the middle, ${Math.round(times.at(-1) ?? 0)} ms at the longest`,
      };
    },
  },
];

async function importRoster(target, students) {
  const { id } = await target.ok('POST', '/api/roster-comparisons', { who: office, body: { students } });
  const body = { rosterComparisonId: id, leave: false, fileName: 'many.csv' };
  await target.ok('POST', '/api/roster-imports', { who: office, body });
}
