// 400 student cards as PDF: laid out, against the same texts in the same fonts and the same symbols written without layout.
import { fileURLToPath } from 'node:url';
import { cardBack, cardTokenOf, plainChoices, plainSheetDesign } from '@hapset/core';
import { askItself, compareWithoutLayout, memoryOf } from '../pdf-without-layout.mjs';

const latin = [
  'Ann Lee',
  'Mary Jane O’Connor-Smith',
  'Jan van der Berg',
  'Theo Marsh',
  'Wren Stone',
  'Zoë-Marguerite Petit',
  'Olga Thorn',
];
const scripts = [
  'Nguyễn Thị Ánh Tuyết',
  'Δήμητρα Παππά',
  'Вера Сидорова',
  'محمد علي',
  'דוד כהן',
  'अमित शर्मा',
  '山田太郎',
  '王小明',
  '김민수',
  'มานี ไชยสงค์',
  'தமிழ் செல்வி',
  'Անի Պետրոսյան',
];

const cases = { '400 cards, Latin names': jobOf(latin), '400 cards in twelve scripts': jobOf(scripts) };
const own = fileURLToPath(import.meta.url);

export async function bench() {
  const found = askItself(own, 'measure');
  return [
    ...found.map(({ name, ratio, ownMs, kilobytes }) => ({
      what: `${name}: laid out / written without layout`,
      value: ratio.toFixed(2),
      target: `at most 1.5 (${Math.round(ownMs)} ms, ${kilobytes} KB${name.includes('Latin') ? ', aim under 1,000' : ''})`,
    })),
    ...Object.keys(cases).map((name) => ({
      what: `peak memory of a process that draws ${name} once`,
      value: `${askItself(own, 'memory', name).peakMb} MB`,
      target: 'under 300 MB',
    })),
  ];
}

function jobOf(names) {
  const design = { ...plainSheetDesign('student-card'), card: 'band', back: cardBack };
  const setup = {
    ...plainChoices('student-card', 'A4'),
    fields: ['title', 'class', 'number', 'place'],
    backs: null,
    design,
    printerMarginMm: 5,
    head: { title: '', about: '' },
  };
  const contents = Array.from({ length: 400 }, (_, index) => {
    const title = names[index % names.length];
    const payload = cardTokenOf(Array.from({ length: 12 }, (__, at) => (index * 7919 + at * 104729) % 23));
    return {
      payload,
      title,
      instruction: '',
      tap: '',
      address: null,
      more: {
        texts: {
          number: `00${600 + index}`,
          password: '',
          class: '6 Kestrel',
          place: 'Fernhollow School',
          what: title,
          meaning: '',
          'for-whom': '',
          where: '',
        },
        neededMm: 15,
        rehearsedMm: 15,
        picture: null,
        band: '#ffe08a',
      },
    };
  });
  return { setup, contents, han: 'sc', pictures: {}, title: 'Bench', madeAt: 0 };
}

if (process.argv[2] === 'measure') process.stdout.write(JSON.stringify(await compareWithoutLayout(cases)));
if (process.argv[2] === 'memory') process.stdout.write(JSON.stringify(await memoryOf(cases[process.argv[3]])));
