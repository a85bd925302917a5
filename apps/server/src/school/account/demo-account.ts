/** Shown on the sign-in page of a demo server, printed by the start command. Made up, and useless elsewhere. */
export const demoAccount = { email: 'maren.dallow@fernhollow.example', password: 'low-tide-at-nine' } as const;
