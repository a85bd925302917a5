/** What is corrected in a pasted link, in words of what was taken away or added. */

/** What may be corrected. The names are kept with every material, so none is ever renamed. */
export const repairKinds = [
  'invisible-removed',
  'line-break-joined',
  'trailing-punctuation',
  'quote-removed',
  'bracket-removed',
  'scheme-doubled',
  'scheme-repaired',
  'blank-removed',
  'scheme-missing',
  'slash-turned',
  'dot-repaired',
  'entity-decoded',
  'markup-removed',
  'blank-encoded',
  'percent-decoded',
] as const;
/** One of them. */
export type RepairKind = (typeof repairKinds)[number];

/** What was corrected, and what was taken away or added. */
export interface Repair {
  readonly kind: RepairKind;
  /** What was there, '' when something was only added. */
  readonly removed: string;
  /** What is there now, '' when something was only taken away. */
  readonly added: string;
}

/** One correction. @param removed what was there @param added what is there now */
export function repair(kind: RepairKind, removed: string, added = ''): Repair {
  return { kind, removed, added };
}

/** Corrections of the same kind as one, in the order in which they were first made. */
export function gatherRepairs(repairs: readonly Repair[]): readonly Repair[] {
  const gathered = new Map<RepairKind, Repair>();
  for (const { kind, removed, added } of repairs) {
    const before = gathered.get(kind);
    gathered.set(kind, { kind, removed: (before?.removed ?? '') + removed, added: (before?.added ?? '') + added });
  }
  return [...gathered.values()];
}
