// Short links of 100,000 slugs against a bare Node server that answers one fixed redirect: the same load generator, turn by turn.
import { execFileSync, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { slugOf } from '@hapset/core';
import { sql } from '../database.mjs';
import { requirePackages } from '../machine.mjs';
import { projectFolder, readSettings } from '../settings.mjs';
import { withServer } from '../signed-in.mjs';

const slugs = 100_000;
const asked = 5000;
const seconds = 6;
const rounds = 3;
const barePort = 4601;

export function bench() {
  requirePackages({ wrk: 'wrk' });
  const settings = readSettings({
    HAPSET_PORT: '4600',
    HAPSET_NEIGHBOURS_PORT: '4610',
    HAPSET_DATA: join(projectFolder, 'test-output/bench'),
  });
  return withServer(settings, async (server) => {
    const made = fill(join(settings.dataFolder, 'database'));
    await new Promise((resolve) => setTimeout(resolve, 2500));
    const script = join(settings.dataFolder, 'slugs.lua');
    writeFileSync(script, lua(made.slice(0, asked)));
    const last = await fetch(`${server.address}/K/${made.at(-1)}`, { redirect: 'manual' });
    if (last.status !== 302) throw new Error(`the last short link answered ${last.status}`);
    const bare = spawn(process.execPath, [
      '-e',
      `require('node:http').createServer((request, response) => response.writeHead(302, { Location: 'https://a.example/leaf/field-guide', 'Cache-Control': 'no-store', 'Content-Length': 0 }).end()).listen(${barePort}, '127.0.0.1')`,
    ]);
    try {
      await new Promise((resolve) => setTimeout(resolve, 500));
      const results = [];
      for (let round = 0; round < rounds; round += 1)
        results.push({ bare: load(`http://127.0.0.1:${barePort}`, script), own: load(server.address, script) });
      const middle = (pick) => results.map(pick).sort((a, b) => a - b)[rounds >> 1];
      return [
        {
          what: `redirects a second, ${slugs} slugs, own and bare`,
          value: `${middle(({ own }) => own.perSecond).toFixed(0)} and ${middle(({ bare: it }) => it.perSecond).toFixed(0)}`,
          target: '',
        },
        {
          what: 'throughput against the bare server',
          value: `${middle(({ own, bare: it }) => own.perSecond / it.perSecond).toFixed(2)} times`,
          target: 'at least 0.5',
        },
        {
          what: 'p99, own and bare',
          value: `${middle(({ own }) => own.p99Ms).toFixed(1)} and ${middle(({ bare: it }) => it.p99Ms).toFixed(1)} ms`,
          target: '',
        },
        {
          what: 'answers that were no redirects',
          value: String(results.reduce((sum, { own }) => sum + own.others, 0)),
          target: 'none',
        },
      ];
    } finally {
      bare.kill();
    }
  });
}

/** Materials with a short link each, straight into the tables. */
function fill(folder) {
  const owner = run(folder, "SELECT id FROM hapset.accounts WHERE role = 'teacher' LIMIT 1").trim();
  const made = new Set();
  for (let number = 0; made.size < slugs; number += 1) {
    const slug = slugOf([1, 23, 529, 12167].map((place) => Math.floor(number / place) % 23));
    if (slug !== null) made.add(slug);
  }
  const all = [...made];
  for (let from = 0; from < all.length; from += 400) {
    const rows = all.slice(from, from + 400).map((slug) => ({ slug, id: randomUUID() }));
    run(
      folder,
      `USE hapset;
      INSERT INTO materials (id, owner_id, kind, title, title_source, pasted, link, carry, slug, repairs, instruction, version, created_at) VALUES ${rows.map(({ id, slug }) => `('${id}', '${owner}', 'web-page', 'x', 'address', 'x', 'https://a.example/leaf/${slug}', 'short-link', '${slug}', '[]', 'x', 1, NOW(3))`).join(',')};
      INSERT INTO short_links (slug, material_id, opening, created_at) VALUES ${rows.map(({ id, slug }) => `('${slug}', '${id}', '{"from":null,"until":null,"hours":[]}', NOW(3))`).join(',')};`,
    );
  }
  return all;
}

function run(folder, statements) {
  const { ok, error, output } = sql(folder, statements);
  if (!ok) throw new Error(error);
  return output;
}

function lua(chosen) {
  return `local slugs = { ${chosen.map((slug) => `"/K/${slug}"`).join(', ')} }
local at = 0
local headers = { ["User-Agent"] = "Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36" }
local others = 0
request = function() at = at % #slugs + 1; return wrk.format("GET", slugs[at], headers) end
done = function(summary, latency) io.write(string.format("RESULT %d %d %d %d\\n", summary.requests, summary.duration, latency:percentile(99), summary.errors.status)) end`;
}

function load(address, script) {
  const out = execFileSync('wrk', ['-t1', '-c48', `-d${seconds}s`, '--latency', '-s', script, address], {
    encoding: 'utf8',
  });
  const [, requests, micros, p99, others] = /RESULT (\d+) (\d+) (\d+) (\d+)/.exec(out);
  return { perSecond: Number(requests) / (Number(micros) / 1e6), p99Ms: Number(p99) / 1000, others: Number(others) };
}
