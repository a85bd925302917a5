/** A session that ends while a page is open: calls go on once somebody has signed in again, and nothing typed is lost. */
import { Question } from './question.js';

const question = new Question<void>();

export const onSessionWanted = question.onWanted;

/** Resolves once somebody has signed in again. */
export function sessionRenewed(): Promise<void> {
  return question.ask();
}

export function announceSession(): void {
  question.answer();
}
