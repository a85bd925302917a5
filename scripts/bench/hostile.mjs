// The worst body that each writing route takes, and how long the server's event loop pauses for it.
import { join } from 'node:path';
import { fillPath, routes } from '@hapset/contract';
import { projectFolder, readSettings } from '../settings.mjs';
import { withServer } from '../signed-in.mjs';

const { budgetOf } = await import(join(projectFolder, 'apps/server/dist/platform/request-body/body-budgets.js'));
const rounds = 3;
const unknownId = '01900000-0000-7000-8000-000000000000';

export function bench() {
  const settings = readSettings({
    HAPSET_PORT: '4600',
    HAPSET_NEIGHBOURS_PORT: '4610',
    HAPSET_DATA: join(projectFolder, 'test-output/bench'),
  });
  return withServer(settings, async (server) => {
    const session = await fetch(`${server.address}/api/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email: 'pell.arkwright@fernhollow.example', password: 'low-tide-at-nine' }),
    });
    const cookie = session.headers.getSetCookie()[0].split(';')[0];
    const results = [];
    for (const [name, { method, path }] of Object.entries(routes)) {
      if (method === 'GET' || method === 'HEAD' || name.includes('Upload') || name === 'signOut') continue;
      const params = Object.fromEntries([...path.matchAll(/:([a-zA-Z]+)/g)].map(([, param]) => [param, unknownId]));
      const url = server.address + fillPath(path, params);
      let worst = 0;
      for (const body of worstBodies(budgetOf(method, fillPath(path, params))))
        for (let round = 0; round < rounds; round += 1)
          worst = Math.max(
            worst,
            await pauseDuring(server.address, () =>
              fetch(url, { method, headers: { Cookie: cookie, 'Content-Type': 'application/json' }, body }).then(
                (response) => response.arrayBuffer(),
              ),
            ),
          );
      results.push({ name, worst });
    }
    results.sort((one, other) => other.worst - one.worst);
    return [
      {
        what: 'longest pause for the worst body of any route',
        value: `${results[0].worst.toFixed(0)} ms`,
        target: 'under 100 ms',
      },
      ...results
        .slice(0, 8)
        .map(({ name, worst }) => ({ what: `  ${name}`, value: `${worst.toFixed(0)} ms`, target: '' })),
      {
        what: `middle of ${results.length} routes`,
        value: `${results[results.length >> 1].worst.toFixed(0)} ms`,
        target: '',
      },
    ];
  });
}

/** As much as the route's budget lets in: many members, deep, long lists, long text. */
function worstBodies({ bytes, members, items, depth }) {
  const upTo = (make, most) => {
    let count = most;
    while (make(count).length > bytes) count = Math.floor(count * 0.9);
    return make(count);
  };
  const many = (count) => `{${Array.from({ length: count }, (_, index) => `"k${index}":${index}`).join()}}`;
  const list = (count) =>
    `{"items":[${Array.from({ length: count }, () => '{"link":1,"words":[],"x":null}').join()}],"students":[${Array.from({ length: count }, () => '{}').join()}]}`;
  return [
    upTo(many, members),
    upTo(list, Math.min(items, Math.floor(members / 4))),
    `${'{"a":'.repeat(depth - 1)}1${'}'.repeat(depth - 1)}`,
    `{"name":"${'x'.repeat(bytes - 200)}"}`,
  ];
}

/** The longest time that a line of text took meanwhile, over what it takes at rest. */
async function pauseDuring(address, work) {
  let going = true;
  let longest = 0;
  const ping = async () => {
    const began = performance.now();
    await (await fetch(`${address}/api/welcome`)).arrayBuffer();
    return performance.now() - began;
  };
  const rest = Math.min(await ping(), await ping());
  const pinging = (async () => {
    while (going) longest = Math.max(longest, await ping());
  })();
  await work();
  going = false;
  await pinging;
  return Math.max(0, longest - rest);
}
