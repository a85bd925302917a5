// A code as PNG: a bit a pixel written from its modules, against the same picture drawn by sharp from SVG, in one run; and how exact both are.
import { drawCode, drawingSize, drawingSvg, plainLook, planSymbol } from '@hapset/core';
import sharp from 'sharp';
import { codePicture } from '../../apps/server/dist/paper/picture/code-picture.js';

const payload = 'https://k.fernhollow.example/leaf/field-guide-to-limpets';
const size = { sizeMm: 150, pixelsPerModule: 54 };
const rounds = 9;

export async function bench() {
  const plan = planSymbol(payload).value;
  const drawing = drawCode(plan, { look: plainLook, name: '', iconOf: () => null, measure: () => 0 });
  const { width } = drawingSize(drawing);
  const svg = drawingSvg(drawing, {
    width: String(width * size.pixelsPerModule),
    height: String(width * size.pixelsPerModule),
    title: '',
    pictureAddress: () => null,
  });
  const code = { plan, look: plainLook, drawing, name: 'x', pictures: new Map(), madeAt: new Date(0) };
  const own = () => codePicture(code, 'png', size);
  const throughSvg = () => sharp(Buffer.from(svg)).png().toBuffer();
  const shaped = { ...code, look: { ...plainLook, modules: 'worn' } };
  await Promise.all([own(), throughSvg()]);
  const ratios = [];
  for (let round = 0; round < rounds; round += 1) ratios.push((await timed(own)) / (await timed(throughSvg)));
  const [ownBytes, svgBytes] = [await own(), await throughSvg()];
  return [
    {
      what: `time of a poster's PNG, 600 dpi (${width * size.pixelsPerModule} px), own / sharp's from SVG`,
      value: ratios.sort((a, b) => a - b)[Math.floor(rounds / 2)].toFixed(3),
      target: 'at most 0.1',
    },
    { what: 'size, own / sharp’s', value: `${ownBytes.length} / ${svgBytes.length} bytes`, target: '' },
    {
      what: 'pixels that are neither ink nor ground, own / sharp’s',
      value: `${await between(ownBytes)} / ${await between(svgBytes)}`,
      target: 'none',
    },
    {
      what: 'time of a shaped look’s PNG / sharp’s from SVG',
      value: ((await timed(() => codePicture(shaped, 'png', size))) / (await timed(throughSvg))).toFixed(2),
      target: 'for comparison',
    },
  ];
}

async function timed(work) {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

async function between(png) {
  const grey = await sharp(png).greyscale().raw().toBuffer();
  return grey.reduce((count, level) => count + (level !== 0 && level !== 255 ? 1 : 0), 0);
}
