/** How large a code on paper has to be: as large as its distance demands; on a poster, no larger than the paper holds with all its texts. */
import type { CodeDrawing } from '../../code/look/drawing.js';
import type { Surround } from '../../code/look/frame.js';
import type { LookDesign } from '../../code/look/look.js';
import { reachShareOf } from '../../code/look/reach-share.js';
import type { DeviceProfile } from '../../school/device/device.js';
import { neededSizeMm, predictReachM, sizeForDistanceMm } from '../../reads/optics/predictor.js';
import { paperFormats, type PaperFormat } from './paper.js';

/** What texts, gaps and margins of the plain poster take at most: the smallest sizes with all their lines fit into it. */
const forTextMm = 106;

/** The largest symbol that an upright poster on this paper holds, in mm without what is around it. */
export function largestPosterCodeMm(
  paper: PaperFormat,
  modules: number,
  { left, right, top, bottom }: Surround,
): number {
  const page = paperFormats[paper];
  return Math.floor(
    modules *
      Math.min((page.widthMm - 8) / (left + modules + right), (page.heightMm - forTextMm) / (top + modules + bottom)),
  );
}

/** Who reads a poster, and from where. */
export interface PosterReaders {
  readonly devices: readonly DeviceProfile[];
  readonly distanceM: number;
}

/**
 * Side of the symbol in mm on a poster, so that every device reads from where students stand, in that look; as large as
 * the paper holds where that is less. @param chosenMm a size that was chosen by hand; null to compute it
 */
export function posterCodeMm(
  { modules, surround }: Pick<CodeDrawing, 'modules' | 'surround'>,
  look: LookDesign,
  paper: PaperFormat,
  { devices, distanceM }: PosterReaders,
  chosenMm: number | null = null,
): number {
  const largestMm = largestPosterCodeMm(paper, modules, surround);
  return chosenMm === null
    ? sizeForDistanceMm(modules, distanceM / reachShareOf(look), devices, largestMm)
    : Math.min(chosenMm, largestMm);
}

/** What a rehearsal found: the least reach of all devices, at that size. Reach grows as the print does. */
export interface MeasuredReach {
  readonly sizeMm: number;
  readonly leastReachM: number;
}

/** Found out by rehearsal, or foretold: how far the weakest device reads a print of `sizeMm`. Infinity without devices. */
export function reachOfPrintM(
  modules: number,
  sizeMm: number,
  look: LookDesign,
  devices: readonly DeviceProfile[],
  measured: MeasuredReach | null,
): number {
  if (measured !== null && measured.leastReachM > 0) return (measured.leastReachM * sizeMm) / measured.sizeMm;
  return Math.min(...devices.map((device) => predictReachM(device, sizeMm, modules) * reachShareOf(look)));
}

/** Side of the symbol in mm from which every device surely reads it at `distanceM`, in whole millimetres. */
export function codeMmForDistance(
  modules: number,
  distanceM: number,
  look: LookDesign,
  devices: readonly DeviceProfile[],
  measured: MeasuredReach | null,
): number {
  if (measured !== null && measured.leastReachM > 0)
    return Math.ceil((measured.sizeMm * distanceM) / measured.leastReachM - 1e-9);
  return Math.ceil(
    Math.max(0, ...devices.map((device) => neededSizeMm(device, modules, distanceM / reachShareOf(look)))),
  );
}
