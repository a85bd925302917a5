/** States of an answer about a code: ready, to be looked at, students are stopped, not known yet. */
export const answerStates = ['done', 'look-at', 'stop', 'not-yet'] as const;
/** One of the four. */
export type AnswerState = (typeof answerStates)[number];

/** The worse of two: what stops, then what is to be looked at, then what is not known yet. */
export function worse(one: AnswerState, other: AnswerState): AnswerState {
  return badness.find((state) => state === one || state === other) ?? one;
}
const badness: readonly AnswerState[] = ['stop', 'look-at', 'not-yet', 'done'];
