/** Some changes ask for the password again. Whoever does not want to give it lets the call fail. */
import { Question } from './question.js';

const question = new Question<boolean>();

export const onPasswordWanted = question.onWanted;

/** Resolves with whether it was given. */
export function passwordGiven(): Promise<boolean> {
  return question.ask();
}

export function answerPasswordRequest(given: boolean): void {
  question.answer(given);
}
