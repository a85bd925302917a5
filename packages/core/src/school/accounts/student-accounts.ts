/** Accounts that students have, as far as links ask for one. */
export const studentAccounts = ['none', 'school'] as const;
/** Which accounts a class's students have: none, or one of the school. */
export type StudentAccounts = (typeof studentAccounts)[number];
