/** Compares what was read of a paste with what was meant by it. The pastes were written down before the parser. */
import type { IntakeAnswer, IntakeItem } from '../intake-item.js';

/** One paste with what is meant by it. */
export interface Paste {
  /** Where it was copied: mail, chat, notes. */
  readonly from: string;
  readonly pasted: string;
  /** One for each item: "link https://… | Title", "words …", "email …", "phone …", "refused". */
  readonly wants: readonly string[];
  /** True where nobody can know, so that it must be asked. */
  readonly ask?: boolean;
}

/** `asked` counts only where one of the two answers is the right one. */
export type PasteScore = 'right' | 'asked' | 'wrong';

/** How well a paste was read. Titles are not compared. */
export function scorePaste({ wants, ask = false }: Paste, items: readonly IntakeItem[]): PasteScore {
  const wanted = wants.map((want) => want.split(' | ')[0] ?? '').join('\n');
  const isAsked = items.some(({ kind }) => kind === 'question');
  const isThere = possibleAnswers(items).some((answers) => answers.map(inWords).join('\n') === wanted);
  if (!isThere) return 'wrong';
  if (isAsked) return 'asked';
  return ask ? 'wrong' : 'right';
}

/** True where every item has the title that was meant. */
export function hasRightTitles({ wants }: Paste, items: readonly IntakeItem[]): boolean {
  const titles = wants.map((want) => want.split(' | ')[1] ?? '').join('\n');
  return possibleAnswers(items).some((answers) => answers.map(({ title }) => title ?? '').join('\n') === titles);
}

function possibleAnswers(items: readonly IntakeItem[]): readonly (readonly IntakeAnswer[])[] {
  return items.reduce<readonly (readonly IntakeAnswer[])[]>(
    (before, item) => {
      const choices = item.kind === 'question' ? item.readings : [[item]];
      return before.flatMap((begun) => choices.map((choice) => [...begun, ...choice]));
    },
    [[]],
  );
}

/** An answer as a want is written. */
export function inWords(answer: IntakeAnswer): string {
  switch (answer.kind) {
    case 'link':
      return `link ${answer.link}`;
    case 'words':
      return `words ${answer.words}`;
    case 'unusable':
      return 'refused';
    case 'contact':
      return answer.content.kind === 'e-mail' ? `email ${answer.content.address}` : `phone ${answer.content.number}`;
  }
}
