/** What is on paper for a material in its place: texts of front and back, the size its distance asks for. Pure. */
import type { SheetChoices } from '@hapset/contract';
import {
  accentReads,
  codeMmForDistance,
  kindDistanceM,
  plainAccent,
  reachOfPrintM,
  shortAddressInLetters,
  type LookDesign,
  type MeasuredReach,
} from '@hapset/core';
import type { LanguageTag } from '@hapset/student-texts';
import { titleOf } from './sheet-places.js';
import type { MoreContent, SheetContent } from './sheet-order.js';
import { isFirstInstruction, phraseLanguages, pointLine, rememberedTap, tapLine } from './tap-words.js';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';

/** What of the choices a code's content depends on. */
export type ContentChoices = Pick<SheetChoices, 'kind' | 'distanceM' | 'languages'>;

export function contentOf(placed: PlacedCode, choices: ContentChoices, picture: MoreContent['picture']): SheetContent {
  const { place, plan, payload, look, carries, rehearsal } = placed;
  const { material, station } = place;
  const instruction = station?.instruction ?? material.instruction;
  return {
    payload,
    ...(plan && { level: plan.level }),
    ...(look.id !== null && { look: look.design }),
    title: titleOf(place),
    instruction,
    tap: rememberedTap(carries.act, rehearsal.devices, instruction),
    address: addressOn(placed),
    more: {
      texts: moreTexts(place),
      neededMm: neededMm(placed, choices),
      rehearsedMm: rehearsal.sizeMm,
      picture,
      phrases: phrasesOf(placed, instruction, choices.languages),
      ...lookAccent(look.design),
      ...(isAsRehearsed(choices) && rehearsal.chosenSizeMm !== null && { isSizeChosen: true }),
      distanceM: distanceOf(placed, choices),
      languages: phraseLanguages(choices.languages),
    },
  };
}

/** What the sheet says by itself, in one language or two. Words around the code that say where to point are enough. */
function phrasesOf(
  { carries: { act }, rehearsal: { devices }, look }: PlacedCode,
  instruction: string,
  wanted: readonly string[],
): NonNullable<MoreContent['phrases']> {
  const [first = 'en', second] = phraseLanguages(wanted);
  const isOwnTask = !isFirstInstruction(instruction);
  const point = (tag: LanguageTag): string => (look.design.caption === null ? pointLine(act, tag) : '');
  return {
    point: isOwnTask ? null : point(first),
    tap: tapLine(act, devices, first),
    secondPoint: isOwnTask || !second ? '' : point(second),
    secondTap: second ? tapLine(act, devices, second) : '',
  };
}

/** Titles in the colour of the look, where that can be read on white. */
function lookAccent({ ink }: LookDesign): Pick<MoreContent, 'accent'> {
  return ink !== plainAccent && accentReads(ink) ? { accent: ink } : {};
}

/** What is typed where a code is not scanned; null where it is no address. */
function addressOn({ code, payload }: PlacedCode): string | null {
  if (code === null || code.carry === 'words') return null;
  return code.carry === 'short-link' ? shortAddressInLetters(payload) : payload;
}

function moreTexts(place: PlacedCode['place']): MoreContent['texts'] {
  const { material, lesson, position } = place;
  const [name, className, date, room] = [lesson?.name, lesson?.class?.name, lesson?.date, lesson?.place ?? ''];
  return {
    number: position === null ? '' : String(position),
    password: passwordOf(material.content),
    class: joined([name, className], ' · '),
    place: room,
    what: joined([position === null ? '' : `${position}.`, titleOf(place)], ' '),
    meaning: material.words ?? '',
    'for-whom': joined([className, name, date], ' · '),
    where: fileUnder(material.tags ?? [], room),
  };
}

/** Of a wireless network that has one, with its name. */
function passwordOf(content: PlacedCode['place']['material']['content']): string {
  return content?.kind === 'network' && content.password !== '' ? `${content.name}: ${content.password}` : '';
}

function joined(parts: readonly (string | null | undefined)[], between: string): string {
  return parts.filter((part) => part).join(between);
}

function fileUnder(tags: readonly string[], place: string): string {
  return joined([tags.length > 0 ? `File under ${tags.join(', ')}` : '', place], ' · ');
}

/** From where such a sheet is read, metres. */
export function distanceOf(
  { rehearsal }: Pick<PlacedCode, 'rehearsal'>,
  { kind, distanceM }: Pick<SheetChoices, 'kind' | 'distanceM'>,
): number {
  return distanceM ?? kindDistanceM[kind] ?? rehearsal.distanceM;
}

function measuredOf({ rehearsal: { results, sizeMm } }: Pick<PlacedCode, 'rehearsal'>): MeasuredReach | null {
  return results === null || results.length === 0
    ? null
    : { sizeMm, leastReachM: Math.min(...results.map(({ reachM }) => reachM)) };
}

/** A poster at its lesson's distance. */
function isAsRehearsed({ kind, distanceM }: Pick<ContentChoices, 'kind' | 'distanceM'>): boolean {
  return kind === 'poster' && distanceM === null;
}

/** A poster at its lesson's distance is printed as it was rehearsed, larger only where the school's paper was too small for it. */
function neededMm(placed: PlacedCode, choices: ContentChoices): number {
  const { rehearsal, look, code } = placed;
  const { sizeMm, chosenSizeMm, largestMm } = rehearsal;
  const asRehearsed = isAsRehearsed(choices);
  if (asRehearsed && (chosenSizeMm !== null || sizeMm < largestMm)) return chosenSizeMm ?? sizeMm;
  return Math.max(
    asRehearsed ? sizeMm : 0,
    codeMmForDistance(
      code?.modules ?? 21,
      distanceOf(placed, choices),
      look.design,
      rehearsal.devices,
      measuredOf(placed),
    ),
  );
}

/** How far the weakest device reads it, printed that large; null without devices. */
export function reachAtM(placed: PlacedCode, sizeMm: number): number | null {
  const reachM = reachOfPrintM(
    placed.code?.modules ?? 21,
    Math.max(sizeMm, 0.1),
    placed.look.design,
    placed.rehearsal.devices,
    measuredOf(placed),
  );
  return Number.isFinite(reachM) ? reachM : null;
}
