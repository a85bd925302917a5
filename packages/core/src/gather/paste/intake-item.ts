/** What pasted text is understood as: items that can be added, and questions about what was meant. */
import type { EmailContent, PhoneContent, TextMessageContent } from '../content/content.js';
import type { AddressDoubt } from './address-body.js';
import type { RefusedReason } from './refused.js';
import type { Repair } from './repairs.js';

/** What every item has. */
export interface IntakeBase {
  /** What was pasted for this item, exactly. */
  readonly pasted: string;
  /** Words that were beside it as a title; null for none. */
  readonly title: string | null;
  /** What students should do, where a list said so. */
  readonly instruction: string | null;
  readonly tags: readonly string[];
}
/** A link, corrected. */
export interface IntakeLink extends IntakeBase {
  readonly kind: 'link';
  readonly link: string;
  readonly repairs: readonly Repair[];
}
/** Words for the code itself. */
export interface IntakeWords extends IntakeBase {
  readonly kind: 'words';
  readonly words: string;
}
/** Somebody to write to or to call. */
export interface IntakeContact extends IntakeBase {
  readonly kind: 'contact';
  readonly content: EmailContent | PhoneContent | TextMessageContent;
}
/** What no code can lead to. */
export interface IntakeUnusable extends IntakeBase {
  readonly kind: 'unusable';
  readonly problem: RefusedReason;
}
/** What an item can become without a question. */
export type IntakeAnswer = IntakeLink | IntakeWords | IntakeContact | IntakeUnusable;
/** What can be read in two ways: the teacher chooses. */
export interface IntakeQuestion extends IntakeBase {
  readonly kind: 'question';
  /** The likelier first. */
  readonly readings: readonly [readonly IntakeAnswer[], readonly IntakeAnswer[]];
  /** What is doubtful about its address; null where the question is what was meant. */
  readonly doubt: AddressDoubt | null;
}
/** What one of the pasted items was understood as. */
export type IntakeItem = IntakeAnswer | IntakeQuestion;
