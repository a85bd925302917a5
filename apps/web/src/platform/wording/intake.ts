/** What the intake says of what was read. */
import type { AddressDoubt, IntakeAnswer, RefusedReason } from '@hapset/core';

/** What is doubtful about a link that is asked about. */
export const addressDoubtWords: Readonly<Record<AddressDoubt, string>> = {
  'cut-off': 'This link ends in dots. Part of it may be missing.',
  'comma-in-host': 'This link has commas where a web address has dots.',
  'run-together': 'Two links may have run together here.',
  'unknown-host': 'No public website ends like this. It may be misspelt, or be inside your school’s network.',
  'name-before-host': 'The website is the part after the @, not the part before it.',
};

/** Why something can't be used, and what to do. */
export const refusedWords: Readonly<Record<RefusedReason, string>> = {
  'file-path': 'This file is on your computer. Drop the file here instead.',
  'scheme-not-web': 'Phones only open links that start with http or https.',
  'not-an-address': 'This link is not complete. Copy it again from the address bar.',
};

/** What students would get, as a button says it: the verb, and what is opened or shown. */
export function answerWords(answers: readonly IntakeAnswer[]): { readonly verb: string; readonly what: string } {
  const [first] = answers;
  if (answers.length > 1) return { verb: `${answers.length} links`, what: answers.map(whatOf).join('   ') };
  if (!first) return { verb: 'Nothing', what: '' };
  return { verb: verbOf(first), what: whatOf(first) };
}

function verbOf(answer: IntakeAnswer): string {
  if (answer.kind === 'link') return 'Link';
  if (answer.kind === 'words') return 'These words';
  if (answer.kind === 'unusable') return 'Nothing';
  return { 'e-mail': 'E-mail to', phone: 'Phone call to', 'text-message': 'Text message to' }[answer.content.kind];
}

function whatOf(answer: IntakeAnswer): string {
  if (answer.kind === 'link') return answer.link;
  if (answer.kind === 'words') return answer.words;
  return answer.kind === 'unusable' ? answer.pasted : contactName(answer.content);
}

/** The address or the number. */
export function contactName(content: Extract<IntakeAnswer, { kind: 'contact' }>['content']): string {
  return content.kind === 'e-mail' ? content.address : content.number;
}
