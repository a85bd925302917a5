/** Sheets as somebody fills them in: usual, long, missing, from right to left, in other scripts, in a look. */
import {
  plainChoices,
  plainLook,
  plainSheetDesign,
  type FaceLayoutName,
  type LookDesign,
  type PaperFormat,
  type SheetKind,
} from '@hapset/core';
import { noTexts, type SheetContent, type SheetOrder } from '../paper/sheet/sheet-order.js';

const look: LookDesign = {
  ...plainLook,
  ink: '#14538a',
  modules: 'pebbles',
  caption: { words: 'Photo bank', place: 'below', face: 'text-bold' },
} as LookDesign;

interface Sample {
  readonly title: string;
  readonly task: string;
  readonly address: string;
  readonly tap: string;
  readonly number: string;
  readonly look?: LookDesign;
}

const tap = 'Then tap the address that appears.';
const address = 'https://k.fernhollow.example/leaf/2';

export const sheetSamples = {
  usual: { title: 'Field guide to limpets', task: 'Sketch the largest limpet.', address, tap, number: '3' },
  long: {
    title:
      'What lives under the stones between high and low water on the northern side of the harbour wall in early spring time?',
    task: 'Read the whole page, choose two animals, write down where each of them was found, how many there were, and what the water was like.',
    address: 'https://cofferlane.example/folders/a-very-long-address-that-goes-on?with=figures&more=12345',
    tap: `${tap} Only text appears? Copy it into the browser.`,
    number: '12',
  },
  missing: { title: 'Riddle', task: '', address: '', tap: '', number: '' },
  'right-to-left': {
    title: 'ماذا يعيش تحت الماء؟',
    task: 'ابحث عن ثلاثة حيوانات وارسم أكبرها في دفترك.',
    address,
    tap: 'ثم اضغط على العنوان الذي يظهر.',
    number: '3',
  },
  hebrew: {
    title: 'מה חי מתחת למים?',
    task: 'ציירו שלוש חיות.',
    address,
    tap: 'ואז הקישו על הכתובת שמופיעה.',
    number: '4',
  },
  devanagari: { title: 'पानी के नीचे', task: 'तीन जानवर खोजो और उन्हें बनाओ।', address, tap, number: '5' },
  cjk: {
    title: '潮の満ち引きと岩場の生きもの',
    task: '三つの生きものを見つけて、スケッチしましょう。',
    address,
    tap,
    number: '6',
  },
  look: {
    title: 'Photo bank, north cove',
    task: 'Choose one photo and write a caption.',
    address,
    tap,
    number: '7',
    look,
  },
} as const satisfies Readonly<Record<string, Sample>>;
export type SheetSampleName = keyof typeof sheetSamples;

export interface SampleRequest {
  readonly kind: SheetKind;
  readonly sample: SheetSampleName;
  readonly layout?: FaceLayoutName;
  readonly paper?: PaperFormat;
  readonly lying?: boolean;
  readonly count?: number;
  readonly second?: { readonly point: string; readonly tap: string };
}

/** @returns what a worker draws of it */
export function sampleOrder(request: SampleRequest): SheetOrder {
  const { kind, layout, paper = 'A4', lying = false, count = 1 } = request;
  const content = contentOf(request);
  return {
    setup: {
      ...plainChoices(kind, paper),
      lying,
      backs: null,
      design: { ...plainSheetDesign(kind), ...(layout && { layout }) },
      footer: 'Fernhollow School',
      printerMarginMm: 5,
      head: { title: 'Life between the tides', about: '6 Kestrel' },
    },
    contents: Array.from({ length: count }, () => content),
    han: 'sc',
    pictures: {},
    title: 'Samples',
    madeAt: 0,
  };
}

function contentOf({ kind, sample, second }: SampleRequest): SheetContent {
  const { title, task, address: link, tap: tapWords, number, look: own }: Sample = sheetSamples[sample];
  const isPoster = kind === 'poster';
  return {
    payload: link === '' ? 'A riddle of the sea' : link,
    title,
    instruction: task,
    address: link === '' ? null : link,
    ...(own && { look: own }),
    more: {
      texts: { ...noTexts, number, class: 'Life between the tides · 6 Kestrel', place: 'Biology room', what: title },
      neededMm: isPoster ? 60 : 16,
      rehearsedMm: 60,
      picture: null,
      phrases: phrasesOf(tapWords, second),
      distanceM: isPoster ? 1.8 : 0.4,
      languages: second ? ['en', 'ar'] : ['en'],
    },
  };
}

function phrasesOf(tapWords: string, second: SampleRequest['second']): NonNullable<SheetContent['more']>['phrases'] {
  return second
    ? { point: 'Point your camera here.', tap: tapWords, secondPoint: second.point, secondTap: second.tap }
    : { point: null, tap: tapWords, secondPoint: '', secondTap: '' };
}
