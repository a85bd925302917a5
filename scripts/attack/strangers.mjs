// What somebody without an account tries over the network.
import { crowd, tally } from './target.mjs';

export const strangers = [
  {
    number: 3,
    name: 'one sign-in with 150,000 unknown members does not freeze the server',
    async attack(target) {
      const body = `{${Array.from({ length: 150_000 }, (_, index) => `"k${index}":1`).join()}}`;
      const { result, measured } = await target.whilePinging(() => target.ask('POST', '/api/session', { body }));
      return {
        held: result.status === 413 && result.text.length < 2000,
        detail: `answered ${result.status} with ${result.text.length} bytes; longest ping ${measured()} ms`,
      };
    },
  },
  {
    number: 3,
    name: 'members, depth and lists of a signed-in caller are limited before they are looked at',
    async attack(target) {
      const bodies = [
        `{${Array.from({ length: 20_000 }, (_, index) => `"k${index}":1`).join()}}`,
        '{"a":'.repeat(4000) + '1' + '}'.repeat(4000),
        `{"items":[${'{},'.repeat(300)}{}]}`,
      ];
      const { result, measured } = await target.whilePinging(() =>
        Promise.all(bodies.map((body) => target.ask('POST', '/api/materials', { who: 'maren.dallow', body }))),
      );
      return {
        held: result.every(({ status, text }) => (status === 400 || status === 413) && text.length < 5000),
        detail: `answered ${tally(result)}; longest ping ${measured()} ms`,
      };
    },
  },
  {
    number: 4,
    name: 'short links can’t be listed by trying, and hits are not slowed',
    async attack(target) {
      const { slugOf } = await import('@hapset/core');
      const links = await target.ok('GET', '/api/short-links', { who: 'maren.dallow' });
      const known = links.rows[0]?.slug;
      const letters = (index) => slugOf([index % 23, Math.floor(index / 23) % 23, 3, 5, 7, 11, 13]) ?? 'CDFGHJKM';
      const misses = await crowd(140, (index) => target.ask('GET', `/K/${letters(index)}`));
      const hit = known ? await target.ask('GET', `/K/${known}`) : { status: 302 };
      const slowed = misses.filter(({ status }) => status === 429).length;
      return {
        held: slowed >= 30 && (known === undefined || (hit.status < 400 && known.length >= 8)),
        detail: `140 tries answered ${tally(misses)}; a real one ${hit.status}${known ? ` of ${known.length} characters` : ''}`,
      };
    },
  },
  {
    number: 5,
    name: '400 wrong passwords at once: a handful is looked at, and everything else goes on meanwhile',
    async attack(target) {
      const { result, measured } = await target.whilePinging(() =>
        crowd(400, (index) =>
          target.ask('POST', '/api/session', {
            body: { email: 'ysolde.marrick@fernhollow.example', password: `guess-${index}` },
          }),
        ),
      );
      const looked = result.filter(({ status }) => status === 401).length;
      return {
        held: looked <= 8 && result.every(({ status }) => [401, 429, 503].includes(status)),
        detail: `answered ${tally(result)}; longest ping ${measured()} ms`,
      };
    },
  },
  {
    number: 14,
    name: 'a teacher is not locked out by a stranger’s failures',
    async attack(target) {
      await crowd(12, () =>
        target.ask('POST', '/api/session', {
          body: { email: 'tobiah.quill@fernhollow.example', password: 'wrong' },
          headers: { 'X-Forwarded-For': '203.0.113.9' },
        }),
      );
      // The same address on this machine; after the growing wait the teacher is in, without anybody's help.
      for (let wait = 0; wait < 8; wait += 1) {
        const answer = await target.ask('POST', '/api/session', {
          body: { email: 'tobiah.quill@fernhollow.example', password: 'low-tide-at-nine' },
        });
        if (answer.status === 201) return { held: true, detail: `signed in after ${wait} waits` };
        await new Promise((resolve) => setTimeout(resolve, Number(answer.headers.get('retry-after') ?? 1) * 1000));
      }
      return { held: false, detail: 'still locked out' };
    },
  },
  {
    number: 16,
    name: 'no reply with personal data may be stored',
    async attack(target) {
      const paths = [
        '/api/session',
        '/api/lessons',
        '/api/materials',
        '/api/students',
        '/api/student-groups',
        '/api/card-readings',
        '/api/card-readings.csv',
        '/api/students-file?format=csv',
        '/api/prints',
        '/api/files',
        '/api/short-links.csv',
      ];
      const answers = await Promise.all(
        paths.map(async (path) => [
          path,
          (await target.ask('GET', path, { who: 'hesper.tolland' })).headers.get('cache-control'),
        ]),
      );
      const open = answers.filter(([, control]) => control !== 'no-store');
      return {
        held: open.length === 0,
        detail:
          open.length === 0
            ? `${paths.length} replies`
            : open.map(([path, control]) => `${path}: ${control}`).join(', '),
      };
    },
  },
];
