/** What stands on paper for a material in its place: texts of front and back, the size its distance asks for. Pure. */
import type { SheetChoices } from '@hapset/contract';
import {
  codeMmForDistance,
  kindDistanceM,
  reachOfPrintM,
  shortAddressInLetters,
  type MeasuredReach,
} from '@hapset/core';
import { titleOf, type PlaceToPrint } from './sheet-places.js';
import type { MoreContent, SheetContent } from './sheet-job.js';
import { tapLine } from './tap-words.js';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';

/** What of the choices a code's content depends on. */
export type ContentChoices = Pick<SheetChoices, 'kind' | 'distanceM'>;

export function contentOf(
  placed: PlacedCode,
  { position }: Pick<PlaceToPrint, 'position'>,
  choices: ContentChoices,
  picture: MoreContent['picture'],
): SheetContent {
  const { place, plan, code, payload, look, carries, rehearsal } = placed;
  const { material, station, lesson } = place;
  const instruction = station?.instruction ?? material.instruction;
  return {
    payload,
    ...(plan && { level: plan.level }),
    ...(look.id !== null && { look: look.design }),
    title: titleOf(place),
    instruction,
    tap: tapLine(carries.act, rehearsal.devices, instruction),
    address:
      code === null || code.carry === 'words'
        ? null
        : code.carry === 'short-link'
          ? shortAddressInLetters(payload)
          : payload,
    more: {
      texts: {
        number: position === null ? '' : String(position),
        password:
          material.content?.kind === 'network' && material.content.password !== ''
            ? `${material.content.name}: ${material.content.password}`
            : '',
        class: [lesson?.name, lesson?.class?.name].filter((part) => part).join(' · '),
        place: lesson?.place ?? '',
        what: [position === null ? '' : `${position}.`, titleOf(place)].filter((part) => part !== '').join(' '),
        meaning: material.words ?? '',
        'for-whom': [lesson?.class?.name, lesson?.name, lesson?.date].filter((part) => part).join(' · '),
        where: fileUnder(material.tags ?? [], lesson?.place ?? ''),
      },
      neededMm: neededMm(placed, choices),
      rehearsedMm: rehearsal.sizeMm,
      picture,
    },
  };
}

function fileUnder(tags: readonly string[], place: string): string {
  return [tags.length > 0 ? `File under ${tags.join(', ')}` : '', place].filter((part) => part !== '').join(' · ');
}

/** From where such a sheet is read, metres. */
export function distanceOf({ rehearsal }: Pick<PlacedCode, 'rehearsal'>, { kind, distanceM }: ContentChoices): number {
  return distanceM ?? kindDistanceM[kind] ?? rehearsal.distanceM;
}

function measuredOf({ rehearsal: { results, sizeMm } }: Pick<PlacedCode, 'rehearsal'>): MeasuredReach | null {
  return results === null || results.length === 0
    ? null
    : { sizeMm, leastReachM: Math.min(...results.map(({ reachM }) => reachM)) };
}

/** A poster at its lesson's distance is printed as it was rehearsed, larger only where the school's paper was too small for it. */
function neededMm(placed: PlacedCode, choices: ContentChoices): number {
  const { rehearsal, look, code } = placed;
  const { sizeMm, chosenSizeMm, largestMm } = rehearsal;
  const asRehearsed = choices.kind === 'poster' && choices.distanceM === null;
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
