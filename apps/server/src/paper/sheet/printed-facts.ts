/** What of a sheet is compared with what would be printed now: its code, and the texts that it shows. Pure. */
import { backFields, faceFields, plainLook, type PrintedFacts, type TextField } from '@hapset/core';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';
import { contentOf } from './sheet-content.js';
import { textsOf } from './sheet-order.js';
import type { SheetRecord } from './sheet-record.js';

/** The content of a sheet when it was printed. */
export function printedFacts(sheet: SheetRecord): PrintedFacts {
  const { payload, level = null, look = plainLook, more } = sheet.content;
  const texts = textsOf(sheet.content);
  return {
    payload,
    level,
    look,
    // Sheets that are older than the composer were printed at just the size for which the material was rehearsed.
    sizeMm: more?.rehearsedMm ?? sheet.sizeMm,
    texts: Object.fromEntries(fieldsOf(sheet).map((field) => [field, texts[field]])),
  };
}

/** As the same sheet would be printed now. */
export function factsNow(placed: PlacedCode, sheet: SheetRecord | null): PrintedFacts {
  const { payload, plan, look, rehearsal, sizeMmOn } = placed;
  // A sheet of an earlier kind was printed at the size for its own paper.
  const sizeMm = sheet && sheet.content.more === undefined ? sizeMmOn(sheet.paper) : rehearsal.sizeMm;
  const content = contentOf(placed, { kind: sheet?.kind ?? 'poster', distanceM: null, languages: [] }, null);
  return { payload, level: plan?.level ?? null, look: look.design, sizeMm, texts: textsOf(content) };
}

/**
 * What of the texts can be compared. Class and place are one line on sheets that are older than the composer, and what to
 * tap was part of the instruction before that.
 */
function fieldsOf({ content, print }: SheetRecord): readonly TextField[] {
  if (!print || content.more === undefined)
    return ['title', 'instruction', 'address', ...(content.tap === undefined ? [] : (['tap'] as const))];
  const { fields, backs } = print.setup;
  return [...faceFields.filter((field) => fields.includes(field)), ...(backs ? backFields : [])];
}
