// Sheets as PDF: laid out, against the same texts in the same fonts and the same symbols written without layout; and what memory that takes.
import { fileURLToPath } from 'node:url';
import { plainChoices, plainSheetDesign } from '@hapset/core';
import { askItself, compareWithoutLayout, memoryOf } from '../pdf-without-layout.mjs';

const own = fileURLToPath(import.meta.url);
const latin = [
  'Field guide to limpets',
  'Tide-line tally',
  'Photo bank, north cove',
  'A limpet walks',
  'Shore sounds',
  'Riddle: who am I?',
  'Harbour walk, 12 June',
];
const scripts = [
  'Nguyễn Thị Ánh Tuyết',
  'Ελληνικά νερά',
  'Кто живёт под водой?',
  'ماذا يعيش تحت الماء؟',
  'מה חי מתחת למים?',
  'पानी के नीचे',
  '潮の満ち引き',
  '潮汐与岩石海岸',
  '바위 웅덩이의 게',
];

const cases = {
  '7 posters': jobOf('poster', latin, 7),
  '400 small cards': jobOf('small-card', latin, 400),
  '400 small cards in nine scripts': jobOf('small-card', scripts, 400),
};

export async function bench() {
  const found = askItself(own, 'measure');
  return [
    ...found.map(({ name, ratio, ownMs, kilobytes }) => ({
      what: `${name}: laid out / written without layout`,
      value: ratio.toFixed(2),
      target: `at most 1.4 (${Math.round(ownMs)} ms, ${kilobytes} KB)`,
    })),
    ...Object.keys(cases).map((name) => ({
      what: `peak memory of a process that draws ${name} once`,
      value: `${askItself(own, 'memory', name).peakMb} MB`,
      target: 'under 300 MB',
    })),
  ];
}

function jobOf(kind, titles, count) {
  const { perPage, labels, fields } = plainChoices(kind, 'A4');
  const setup = {
    kind,
    paper: 'A4',
    lying: false,
    perPage,
    inColumns: false,
    labels,
    startAt: 0,
    copies: 1,
    fields,
    backs: null,
    design: plainSheetDesign(kind),
    printerMarginMm: 5,
    head: { title: '', about: '' },
  };
  const contents = Array.from({ length: count }, (_, index) => {
    const title = titles[index % titles.length];
    const address = `https://k.fernhollow.example/leaf/${index}`;
    return {
      payload: address,
      title,
      instruction: 'Point your camera here and tap what it finds.',
      tap: '',
      address,
      more: {
        texts: {
          number: String(index + 1),
          password: '',
          class: 'Life between the tides · 6 Kestrel',
          place: 'Biology room',
          what: title,
          meaning: '',
          'for-whom': '',
          where: '',
        },
        neededMm: kind === 'poster' ? 110 : 18,
        rehearsedMm: 110,
        picture: null,
      },
    };
  });
  return { setup, contents, han: 'sc', pictures: {}, title: 'Bench', madeAt: 0 };
}

if (process.argv[2] === 'measure') process.stdout.write(JSON.stringify(await compareWithoutLayout(cases)));
if (process.argv[2] === 'memory') process.stdout.write(JSON.stringify(await memoryOf(cases[process.argv[3]])));
