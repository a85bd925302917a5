/** What sheets say by themselves, in the languages that were chosen: where to point the camera, what to tap, and what to do where only text appears. */
import { ignoring, type ScannerAct, type ScannerProfile } from '@hapset/core';
import { languages, studentTexts, type LanguageTag, type StudentTextKey } from '@hapset/student-texts';
import { firstInstructions } from '../../gather/material/new-material.js';

const tapKeys: Readonly<Record<ScannerAct, StudentTextKey>> = {
  link: 'sheetTapLink',
  'bare-address': 'sheetTapLink',
  contact: 'sheetTapContact',
  event: 'sheetTapEvent',
  place: 'sheetTapPlace',
  'e-mail': 'sheetTapEmail',
  phone: 'sheetTapPhone',
  'text-message': 'sheetTapMessage',
  network: 'sheetTapNetwork',
};

const onlyTextKeys: Readonly<Record<ScannerAct, StudentTextKey>> = {
  link: 'sheetOnlyTextLink',
  'bare-address': 'sheetOnlyTextLink',
  contact: 'sheetOnlyTextContact',
  event: 'sheetOnlyTextEvent',
  place: 'sheetOnlyTextPlace',
  'e-mail': 'sheetOnlyTextEmail',
  phone: 'sheetOnlyTextPhone',
  'text-message': 'sheetOnlyTextMessage',
  network: 'sheetOnlyTextNetwork',
};

/** Whether the teacher left the instruction as it came: then the sheet says it in its own languages. */
export function isFirstInstruction(instruction: string): boolean {
  return (Object.values(firstInstructions) as readonly string[]).includes(instruction);
}

/** Where to point the camera. @param act null for words, which are read on the spot */
export function pointLine(act: ScannerAct | null, tag: LanguageTag): string {
  return studentTexts(tag)(act === null ? 'sheetPointAndRead' : 'sheetPoint');
}

/** What to tap; '' if nothing has to be tapped. @param act null for words */
export function tapLine(act: ScannerAct | null, devices: readonly ScannerProfile[], tag: LanguageTag): string {
  if (act === null) return '';
  return [studentTexts(tag)(tapKeys[act]), byHandLine(act, devices, tag)].filter((part) => part !== '').join(' ');
}

/** What to do if a device shows only text; '' if none does. */
function byHandLine(act: ScannerAct, devices: readonly ScannerProfile[], tag: LanguageTag): string {
  return ignoring(devices, act).length > 0 ? studentTexts(tag)(onlyTextKeys[act]) : '';
}

/** The words that older sheets have, so that they can be compared with new ones. */
export function rememberedTap(act: ScannerAct | null, devices: readonly ScannerProfile[], instruction: string): string {
  if (act === null) return '';
  return isFirstInstruction(instruction) ? byHandLine(act, devices, 'en') : tapLine(act, devices, 'en');
}

/** Those of the wanted languages that there are phrases in; English where there are none. */
export function phraseLanguages(wanted: readonly string[]): readonly LanguageTag[] {
  const found = languages.filter(({ tag }) => wanted.includes(tag)).map(({ tag }) => tag);
  const inOrder = wanted.flatMap((tag) => found.find((each) => each === tag) ?? []);
  return inOrder.length > 0 ? inOrder : ['en'];
}
