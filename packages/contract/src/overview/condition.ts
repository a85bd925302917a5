/** What the administrator should know of a running server, in the order of the page. */
export const conditionNames = [
  'database',
  'disk',
  'files',
  'address',
  'phone',
  'https',
  'clock',
  'queue',
  'backup',
  'browser',
  'office',
] as const;
/** One thing that is looked at. */
export type ConditionName = (typeof conditionNames)[number];

/** `stop`: something does not work. */
export const conditionStates = ['good', 'attention', 'stop'] as const;
/** How one thing is. */
export type ConditionState = (typeof conditionStates)[number];

/** One thing that was looked at, and its figures. */
export interface ConditionCheck {
  readonly name: ConditionName;
  readonly state: ConditionState;
  /** Under the names that the page's words use; times are ISO 8601. */
  readonly facts: Readonly<Record<string, string | number>>;
}

/** The server's condition now. */
export interface ConditionView {
  readonly version: string;
  readonly checks: readonly ConditionCheck[];
}
