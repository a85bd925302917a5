// A file of 200 MB comes in and goes out again: what the server's memory does meanwhile, and how fast against a plain copy.
import { createReadStream, createWriteStream } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { projectFolder, readSettings } from '../settings.mjs';
import { watchingMemory, withServer } from '../signed-in.mjs';

const sizeBytes = 200_000_000;
const partBytes = 4_000_000;
const part = Buffer.alloc(partBytes, 'low tide at nine, high tide at three. ');

export function bench() {
  const settings = readSettings({
    HAPSET_PORT: '4600',
    HAPSET_NEIGHBOURS_PORT: '4610',
    HAPSET_DATA: join(projectFolder, 'test-output/bench'),
  });
  return withServer(settings, async (server) => {
    const { before, most, value } = await watchingMemory(server, async () => {
      const sentMs = await timed(() => send(server.address, server.cookie));
      const gotMs = await timed(() => get(`${server.address}${sentMs.value.address}`));
      return { sentMs, gotMs };
    });
    const copy = await timed(() => copyOnDisk(settings.dataFolder));
    return [
      { what: 'memory of the server before', value: `${before.toFixed(0)} MB`, target: '' },
      { what: 'most while 200 MB came in and went out', value: `${most.toFixed(0)} MB`, target: 'flat' },
      { what: 'growth', value: `${(most - before).toFixed(0)} MB`, target: 'well below the file' },
      {
        what: 'sending and keeping, against a copy on the disk',
        value: `${(value.sentMs.ms / copy.ms).toFixed(1)} times`,
        target: '',
      },
      {
        what: 'getting it, against a copy on the disk',
        value: `${(value.gotMs.ms / copy.ms).toFixed(1)} times`,
        target: '',
      },
    ];
  });
}

async function get(address) {
  const response = await fetch(address);
  let bytes = 0;
  for await (const chunk of response.body) bytes += chunk.length;
  if (bytes !== sizeBytes) throw new Error(`got ${bytes} bytes`);
}

async function send(address, cookie) {
  const tus = { 'Tus-Resumable': '1.0.0', Cookie: cookie };
  const begun = await fetch(`${address}/api/uploads`, {
    method: 'POST',
    headers: { ...tus, 'Upload-Length': String(sizeBytes) },
  });
  const place = begun.headers.get('location');
  for (let offset = 0; offset < sizeBytes; offset += partBytes) {
    // A letter that differs in each part, so that no disk can cheat.
    part[0] = offset % 251;
    const sent = await fetch(new URL(place, address), {
      method: 'PATCH',
      headers: { ...tus, 'Upload-Offset': String(offset), 'Content-Type': 'application/offset+octet-stream' },
      body: part,
    });
    if (sent.status !== 204) throw new Error(`sending answered ${sent.status}`);
  }
  const kept = await fetch(`${address}/api/files`, {
    method: 'POST',
    headers: { Cookie: cookie, 'Content-Type': 'application/json' },
    body: JSON.stringify({ uploadId: place.split('/').at(-1), name: 'large.bin' }),
  });
  return kept.json();
}

async function copyOnDisk(folder) {
  const { writeFileSync } = await import('node:fs');
  const from = join(folder, 'copy-from');
  writeFileSync(from, Buffer.alloc(sizeBytes, 'x'));
  const began = performance.now();
  await pipeline(createReadStream(from), createWriteStream(join(folder, 'copy-to')));
  return performance.now() - began;
}

async function timed(work) {
  const began = performance.now();
  const value = await work();
  return { ms: typeof value === 'number' ? value : performance.now() - began, value };
}
