/** What is behind an address and is none of it: punctuation, lone brackets and quotation marks, emphasis, dots where it was cut off. */
import { repair, type Repair } from './repairs.js';

interface Trimmed {
  readonly link: string;
  readonly repairs: readonly Repair[];
  readonly isCut: boolean;
}

/** Takes off what is behind an address and is none of it. @param before what is in front of it */
export function trimEnd(given: string, before: string, textFollows: boolean): Trimmed {
  const repairs: Repair[] = [];
  let link = given;
  let isCut = false;
  for (let taken = endingOf(link, before, textFollows); taken; taken = endingOf(link, before, textFollows)) {
    link = link.slice(0, -taken.removed.length);
    isCut ||= /…|\.{3}/.test(taken.removed);
    repairs.push(taken);
  }
  return { link, repairs, isCut };
}

const openers: Readonly<Record<string, string>> = { ')': '(', ']': '[', '}': '{' };

/** The last characters, where they are none of the address: punctuation, a lone bracket or quotation mark, emphasis. */
function endingOf(link: string, before: string, textFollows: boolean): Repair | null {
  const marks = (textFollows ? /[.,;:!?…]+$/u : /[.,;:!…]+$/u).exec(link)?.[0];
  if (marks !== undefined && marks.length < link.length) return repair('trailing-punctuation', marks);
  const last = link.at(-1) ?? '';
  const opener = openers[last];
  if (opener !== undefined && !isClosedInside(link.slice(0, -1), opener, last)) return repair('bracket-removed', last);
  if (/['‘’`]/.test(last)) return repair('quote-removed', last);
  const emphasis = /(?:\*+|~+|_+)$/.exec(link)?.[0];
  return emphasis !== undefined && before.trimEnd().endsWith(emphasis) ? repair('markup-removed', emphasis) : null;
}

/** True where an opener is still waiting for the closer behind: "/a_(b" before ")". */
function isClosedInside(inner: string, open: string, close: string): boolean {
  let waiting = 0;
  for (const character of inner) {
    if (character === open) waiting += 1;
    else if (character === close && waiting > 0) waiting -= 1;
  }
  return waiting > 0;
}
