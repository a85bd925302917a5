// The rehearsal: how its time is shared between camera model and readers, how well the predictor foretells it,
// and the longest task on the page's own thread while it runs.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { listenForLongTasks, newPage, signIn, withBrowser } from '../browser.mjs';
import { projectFolder, readSettings } from '../settings.mjs';

const require = createRequire(import.meta.url);
const devices = JSON.parse(readFileSync(join(projectFolder, 'demo/scenario.json'), 'utf8')).devices.map((device, index) => ({ ...device, id: String(index) }));
const payloads = ['HTTPS://K.FERNHOLLOW.EXAMPLE/9VDRT', 'https://cofferlane.example/leaf/field-guide-to-limpets', 'I have one foot and no legs. My house never leaves my back, and the tide never moves me. Who am I?'];

export async function bench() {
  return [...(await inNode()), ...(await inThePage())];
}

async function inNode() {
  const core = await import('@hapset/core');
  const { createZbarReader, createZxingReader } = await import('@hapset/readers');
  const engines = { zxing: await createZxingReader({ bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')) }), zbar: await createZbarReader(null) };
  let readingMs = 0;
  let totalMs = 0;
  let frames = 0;
  const rows = [];
  const deviations = [];
  for (const payload of payloads) {
    const plan = core.planSymbol(payload).value;
    for (const device of devices) {
      const began = performance.now();
      const result = await core.rehearseDevice(plan, 150, device, async (frame) => {
        const read = performance.now();
        const reading = await engines[device.engine].read(frame);
        readingMs += performance.now() - read;
        return reading?.text ?? null;
      });
      totalMs += performance.now() - began;
      frames += result.frames;
      deviations.push(Math.abs(core.predictReachM(device, 150, plan.modules) / result.reachM - 1));
      rows.push({ what: `reach at 150 mm, version ${plan.version}, ${device.name}`, value: `${result.reachM.toFixed(2)} m`, target: `10:1 rule says ${(1.5).toFixed(2)} m` });
    }
  }
  return [
    { what: 'camera model against reader engines, time', value: `${((totalMs - readingMs) / readingMs).toFixed(2)} x`, target: 'aim of a later issue: 1.0' },
    { what: 'a frame, model and reader together', value: `${(totalMs / frames).toFixed(1)} ms`, target: '' },
    { what: 'one code on four devices', value: `${(totalMs / payloads.length / 1000).toFixed(1)} s`, target: '' },
    { what: 'predictor off the simulated reach, mean', value: `${((100 * deviations.reduce((sum, value) => sum + value, 0)) / deviations.length).toFixed(0)} %`, target: 'within 10 %' },
    ...rows,
  ];
}

/** Drives a real page and listens for long tasks while the worker rehearses. */
function inThePage() {
  const settings = readSettings({ HAPSET_PORT: '4600', HAPSET_NEIGHBOURS_PORT: '4610', HAPSET_DB_PORT: '4617', HAPSET_DATA: join(projectFolder, 'test-output/bench') });
  return withBrowser(settings, async (browser) => {
    const page = await newPage(browser, settings);
    await signIn(page);
    await page.getByRole('link', { name: /Life between the tides/ }).click();
    await page.getByText(/^Rehearsing \d/).waitFor();
    // The list's own first drawing is over; from here on only the rehearsal is at work.
    await page.waitForTimeout(500);
    const longTasks = await listenForLongTasks(page);
    const began = Date.now();
    await page.getByText(/^Rehearsing \d/).waitFor({ state: 'detached', timeout: 120_000 });
    const tasks = await longTasks();
    const stations = await page.getByRole('table').getByRole('row').count();
    return [
      { what: `bench of ${stations - 1} stations x 4 devices rehearsed in the page`, value: `${((Date.now() - began + 500) / 1000).toFixed(1)} s`, target: '' },
      { what: 'tasks over 50 ms on the page’s thread meanwhile', value: String(tasks.length), target: 'none' },
      { what: 'longest of them', value: `${Math.max(0, ...tasks).toFixed(0)} ms`, target: 'under 50 ms' },
    ];
  });
}
