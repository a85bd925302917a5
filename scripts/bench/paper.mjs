// Sheets as PDF: laid out, against the same texts in the same fonts and the same symbols written without layout; and what memory that takes.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { drawCode, layoutPage, pagesOf, plainChoices, plainLook, plainSheetDesign, planSymbol, pointsPerMm } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { drawOnPdf, startPdf } from '../../apps/server/dist/picture/draw-pdf.js';
import { drawableOf } from '../../apps/server/dist/sheet/sheet-job.js';
import { answerTask } from '../../apps/server/dist/sheet/sheet.work.js';
import { fontBytes } from '../../apps/server/dist/typeface/faces.js';
import { measureIn, shapeLine } from '../../apps/server/dist/typeface/shaped-line.js';

const rounds = 5;
const latin = ['Field guide to limpets', 'Tide-line tally', 'Photo bank, north cove', 'A limpet walks', 'Shore sounds', 'Riddle: who am I?', 'Harbour walk, 12 June'];
const scripts = ['Nguyễn Thị Ánh Tuyết', 'Ελληνικά νερά', 'Кто живёт под водой?', 'ماذا يعيش تحت الماء؟', 'מה חי מתחת למים?', 'पानी के नीचे', '潮の満ち引き', '潮汐与岩石海岸', '바위 웅덩이의 게'];

const cases = { '7 posters': jobOf('poster', latin, 7), '400 small cards': jobOf('small-card', latin, 400), '400 small cards in nine scripts': jobOf('small-card', scripts, 400) };

export async function bench() {
  const ask = (...wish) => JSON.parse(spawnSync(process.execPath, [fileURLToPath(import.meta.url), ...wish], { encoding: 'utf8' }).stdout);
  const found = ask('measure');
  return [
    ...found.cases.map(({ name, ratio, ownMs, kilobytes }) => ({ what: `${name}: laid out / written without layout`, value: ratio.toFixed(2), target: `at most 1.5 (${Math.round(ownMs)} ms, ${kilobytes} KB)` })),
    ...Object.keys(cases).map((name) => ({ what: `peak memory of a process that draws ${name} once`, value: `${ask('memory', name).peakMb} MB`, target: 'under 300 MB' })),
  ];
}

function jobOf(kind, titles, count) {
  const { perPage, labels, fields } = plainChoices(kind, 'A4');
  const setup = { kind, paper: 'A4', lying: false, perPage, inColumns: false, labels, startAt: 0, copies: 1, fields, backs: null, design: plainSheetDesign(kind), printerMarginMm: 5, head: { title: '', about: '' } };
  const contents = Array.from({ length: count }, (_, index) => {
    const title = titles[index % titles.length];
    const address = `https://k.fernhollow.example/leaf/${index}`;
    return { payload: address, title, instruction: 'Point your camera here and tap what it finds.', tap: '', address, more: { texts: { number: String(index + 1), password: '', class: 'Life between the tides · 6 Kestrel', place: 'Biology room', what: title, meaning: '', 'for-whom': '', where: '' }, neededMm: kind === 'poster' ? 110 : 18, rehearsedMm: 110, picture: null } };
  });
  return { setup, contents, han: 'sc', pictures: {}, title: 'Bench', madeAt: 0 };
}

/** What stands on each page, as text in its faces: what somebody would write who knew it all beforehand. */
function writingsOf(job) {
  const measure = measureIn(job.han);
  const { composition } = drawableOf(job, { iconOf, measure }).value;
  return Array.from({ length: pagesOf(composition) }, (_, index) => {
    const page = layoutPage(composition, index, measure);
    return {
      size: [page.widthMm * pointsPerMm, page.heightMm * pointsPerMm],
      texts: page.texts.flatMap(({ lines, font, sizePt }) => lines.flatMap((line) => shapeLine(line, font).runs.map(({ face, text }) => ({ face, text, sizePt })))),
      codes: page.codes.map((code) => ({ ...code, payload: job.contents[code.item].payload, title: job.contents[code.item].title })),
    };
  });
}

/** The same texts, fonts and symbols, one under the other. */
async function withoutLayout(job, pages) {
  const { document, finish } = startPdf({ title: job.title, madeAt: new Date(0) });
  const known = new Set();
  for (const page of pages) {
    document.addPage({ size: page.size, margin: 0 });
    page.texts.forEach(({ face, text, sizePt }, index) => {
      if (!known.has(face)) document.registerFont(face, fontBytes(face));
      known.add(face);
      document.font(face).fontSize(sizePt).text(text, 20, 20 + index, { lineBreak: false, features: [] });
    });
    for (const code of page.codes) drawOnPdf(document, drawCode(planSymbol(code.payload).value, { look: plainLook, name: code.title, iconOf, measure: () => 0 }), code, new Map());
  }
  return finish();
}

async function measure() {
  const found = [];
  for (const [name, job] of Object.entries(cases)) {
    const pages = writingsOf(job);
    const own = () => answerTask({ sort: 'pdf', job });
    const plain = () => withoutLayout(job, pages);
    const bytes = (await own()).length;
    await plain();
    const ratios = [];
    const owns = [];
    for (let round = 0; round < rounds; round += 1) {
      const [first, second] = round % 2 === 0 ? [await timed(own), await timed(plain)] : [await timed(plain), await timed(own)].reverse();
      ratios.push(first / second);
      owns.push(first);
    }
    found.push({ name, ratio: middle(ratios), ownMs: middle(owns), kilobytes: Math.round(bytes / 1000) });
  }
  return { cases: found };
}

async function memory(name) {
  await answerTask({ sort: 'pdf', job: cases[name] });
  return { peakMb: Math.round(process.resourceUsage().maxRSS / 1024) };
}

function middle(values) {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
}

async function timed(work) {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

if (process.argv[2] === 'measure') process.stdout.write(JSON.stringify(await measure()));
if (process.argv[2] === 'memory') process.stdout.write(JSON.stringify(await memory(process.argv[3])));
