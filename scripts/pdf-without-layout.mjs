// For benches of sheets: the same texts in the same fonts and the same symbols, written one under the other by somebody who knew them all.
import { spawnSync } from 'node:child_process';
import { drawCode, layoutPage, pagesOf, plainLook, planSymbol, pointsPerMm } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { drawOnPdf, startPdf } from '../apps/server/dist/paper/picture/draw-pdf.js';
import { drawableOf } from '../apps/server/dist/paper/sheet/sheet-order.js';
import { answerTask } from '../apps/server/dist/paper/sheet/sheet.work.js';
import { fontBytes } from '../apps/server/dist/code/typeface/faces.js';
import { measureIn, shapeLine } from '../apps/server/dist/code/typeface/shaped-line.js';

const rounds = 5;

/** Runs a bench's file in a process of its own, so that nothing else counts. */
export function askItself(file, ...options) {
  return JSON.parse(spawnSync(process.execPath, [file, ...options], { encoding: 'utf8' }).stdout);
}

/** @param cases jobs by name */
export async function compareWithoutLayout(cases) {
  const found = [];
  for (const [name, job] of Object.entries(cases)) {
    const pages = writingsOf(job);
    const own = () => answerTask({ kind: 'pdf', order: job });
    const plain = () => withoutLayout(job, pages);
    const bytes = (await own()).length;
    await plain();
    const ratios = [];
    const owns = [];
    for (let round = 0; round < rounds; round += 1) {
      const [first, second] =
        round % 2 === 0 ? [await timed(own), await timed(plain)] : [await timed(plain), await timed(own)].reverse();
      ratios.push(first / second);
      owns.push(first);
    }
    found.push({ name, ratio: middle(ratios), ownMs: middle(owns), kilobytes: Math.round(bytes / 1000) });
  }
  return found;
}

export async function memoryOf(job) {
  await answerTask({ kind: 'pdf', order: job });
  return { peakMb: Math.round(process.resourceUsage().maxRSS / 1024) };
}

/** What is on each page, as text in its faces. */
function writingsOf(job) {
  const measure = measureIn(job.han);
  const { composition } = drawableOf(job, { iconOf, measure }).value;
  return Array.from({ length: pagesOf(composition) }, (_, index) => {
    const page = layoutPage(composition, index, measure);
    return {
      size: [page.widthMm * pointsPerMm, page.heightMm * pointsPerMm],
      texts: page.texts.flatMap(({ lines, font, sizePt }) =>
        lines.flatMap((line) => shapeLine(line, font).runs.map(({ face, text }) => ({ face, text, sizePt }))),
      ),
      codes: page.codes.map((code) => ({
        ...code,
        payload: job.contents[code.item].payload,
        title: job.contents[code.item].title,
      })),
    };
  });
}

async function withoutLayout(job, pages) {
  const { document, finish } = startPdf({ title: job.title, madeAt: new Date(0) });
  const known = new Set();
  for (const page of pages) {
    document.addPage({ size: page.size, margin: 0 });
    page.texts.forEach(({ face, text, sizePt }, index) => {
      if (!known.has(face)) document.registerFont(face, fontBytes(face));
      known.add(face);
      document
        .font(face)
        .fontSize(sizePt)
        .text(text, 20, 20 + index, { lineBreak: false, features: [] });
    });
    for (const code of page.codes)
      drawOnPdf(
        document,
        drawCode(planSymbol(code.payload).value, { look: plainLook, name: code.title, iconOf, measure: () => 0 }),
        code,
        new Map(),
      );
  }
  return finish();
}

function middle(values) {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
}

async function timed(work) {
  const began = performance.now();
  await work();
  return performance.now() - began;
}
