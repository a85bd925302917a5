/** The one problem shape of the whole API. `reason` is for programs, the web application owns the words. */
export const problemReasons = [
  'not-signed-in',
  'wrong-credentials',
  'too-many-attempts',
  'not-allowed',
  'password-needed',
  'account-deactivated',
  'last-administrator',
  'link-over',
  'wrong-origin',
  'not-found',
  'gone',
  'invalid',
  'stale',
  'superseded',
  'in-use',
  'not-undoable',
  'payload-too-long',
  'sheet-needs-go-ahead',
  'rehearsal-outdated',
  'too-large',
  'storage-full',
  'unusable-picture',
  'busy',
  'unavailable',
  'failed',
] as const;
/** Why a request was refused; pages say it in words. */
export type ProblemReason = (typeof problemReasons)[number];

/** The body of every reply that is no success. */
export interface Problem {
  readonly reason: ProblemReason;
  /** A sentence for logs and scripts; pages use their own words. */
  readonly message: string;
  /** What to fix, field by field (paths like `items.0.link`). */
  readonly fields?: readonly FieldProblem[];
  /** What still shows it, with `in-use`. */
  readonly usedBy?: UsedBy;
  /** Warnings to confirm, with `sheet-needs-go-ahead`. */
  readonly warnings?: readonly string[];
}

/** What stops a removal: lessons, materials, codes of anybody, or the school's own choice. */
export interface UsedBy {
  readonly kind: 'lesson' | 'material' | 'code' | 'school';
  /** The first few, where the one who asks may see them. */
  readonly names: readonly string[];
  readonly count: number;
}

/** What is wrong with one member of a body. */
export interface FieldProblem {
  readonly field: string;
  readonly message: string;
  /** What the message is about, where that is more than the field: a value, a name. */
  readonly detail?: string;
}
