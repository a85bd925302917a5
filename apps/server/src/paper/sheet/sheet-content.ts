/** What stands on paper for a material in its place: texts of front and back, the size its distance asks for. Pure. */
import type { SheetChoices } from '@hapset/contract';
import {
  codeMmForDistance,
  kindDistanceM,
  reachOfPrintM,
  shortAddressInLetters,
  type MeasuredReach,
} from '@hapset/core';
import type { Standing } from '../../overview/readiness/readiness.service.js';
import { titleOf, type PlaceToPrint } from './sheet-places.js';
import type { MoreContent, SheetContent } from './sheet-job.js';
import { tapLine } from './tap-words.js';

/** What of the choices a code's content depends on. */
export type ContentChoices = Pick<SheetChoices, 'kind' | 'distanceM'>;

export function contentOf(
  standing: Standing,
  { position }: Pick<PlaceToPrint, 'position'>,
  choices: ContentChoices,
  picture: MoreContent['picture'],
): SheetContent {
  const { place, plan, code, payload, look, readiness, rehearsal } = standing;
  const { material, station, lesson } = place;
  const instruction = station?.instruction ?? material.instruction;
  return {
    payload,
    ...(plan && { level: plan.level }),
    ...(look.id !== null && { look: look.design }),
    title: titleOf(place),
    instruction,
    tap: tapLine(readiness.carries.act, rehearsal.devices, instruction),
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
      neededMm: neededMm(standing, choices),
      rehearsedMm: rehearsal.sizeMm,
      picture,
    },
  };
}

function fileUnder(tags: readonly string[], place: string): string {
  return [tags.length > 0 ? `File under ${tags.join(', ')}` : '', place].filter((part) => part !== '').join(' · ');
}

/** From where such a sheet is read, metres. */
export function distanceOf({ rehearsal }: Pick<Standing, 'rehearsal'>, { kind, distanceM }: ContentChoices): number {
  return distanceM ?? kindDistanceM[kind] ?? rehearsal.distanceM;
}

function measuredOf({ rehearsal: { results, sizeMm } }: Pick<Standing, 'rehearsal'>): MeasuredReach | null {
  return results === null || results.length === 0
    ? null
    : { sizeMm, leastReachM: Math.min(...results.map(({ reachM }) => reachM)) };
}

/** A poster at its lesson's distance is printed as it was rehearsed, larger only where the school's paper was too small for it. */
function neededMm(standing: Standing, choices: ContentChoices): number {
  const { rehearsal, look, code } = standing;
  const { sizeMm, chosenSizeMm, largestMm } = rehearsal;
  const asRehearsed = choices.kind === 'poster' && choices.distanceM === null;
  if (asRehearsed && (chosenSizeMm !== null || sizeMm < largestMm)) return chosenSizeMm ?? sizeMm;
  return Math.max(
    asRehearsed ? sizeMm : 0,
    codeMmForDistance(
      code?.modules ?? 21,
      distanceOf(standing, choices),
      look.design,
      rehearsal.devices,
      measuredOf(standing),
    ),
  );
}

/** How far the weakest device reads it, printed that large; null without devices. */
export function reachAtM(standing: Standing, sizeMm: number): number | null {
  const reachM = reachOfPrintM(
    standing.code?.modules ?? 21,
    Math.max(sizeMm, 0.1),
    standing.look.design,
    standing.rehearsal.devices,
    measuredOf(standing),
  );
  return Number.isFinite(reachM) ? reachM : null;
}
