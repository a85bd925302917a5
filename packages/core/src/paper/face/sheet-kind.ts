/** What is made of paper. */

/** What codes of lessons and of the shelf are put on. */
export const composedKinds = ['poster', 'table-card', 'small-card', 'handout', 'label'] as const;
/** Students' cards are made of rosters. */
export const sheetKinds = [...composedKinds, 'student-card'] as const;
/** What is made of paper. */
export type SheetKind = (typeof sheetKinds)[number];
