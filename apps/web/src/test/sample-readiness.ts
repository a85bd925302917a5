/** The answer of a link that asks students to sign in, with two known steps. */
export const locked = {
  state: 'stop',
  opening: false,
  viewing: false,
  viewId: null,
  verdict: 'sign-in',
  reason: 'led-to-sign-in',
  checkedAt: null,
  stale: false,
  steps: 2,
  inTheCode: false,
  obstacle: null,
  unplayed: null,
  answer: null,
  answerBefore: null,
} as const;
