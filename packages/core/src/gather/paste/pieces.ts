/** Parts pasted text into items: a line each, but for a label above its link and an address broken over lines. */
import type { FoundAddress } from './address-body.js';
import { withoutListMarks } from './label.js';
import { scan } from './scan.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';

interface Line {
  readonly text: string;
  /** Lines without an empty one between have the same. */
  readonly block: number;
}

/** Every line that is not empty is in exactly one item. @param isListed hosts that the school named */
export function splitPieces(text: string, isListed: IsListedHost = () => false): readonly string[] {
  const lines: Line[] = [];
  let block = 0;
  for (const line of text.split(/\r\n|\r|\n/)) {
    const before = lines.at(-1);
    if (line.trim() === '') block += 1;
    else if (before?.block === block && continues(before.text, line, isListed))
      lines[lines.length - 1] = { text: `${before.text}\n${line}`, block };
    else lines.push({ text: line, block });
  }
  return withLabels(lines, isListed);
}

const endsUnfinished = /[/\-_=&?%#.+]$/;
const beginsAsRest = /^[/?&=#%_-]\S/;

/** A line goes on from the one before when that one is an unfinished address and this one is nothing of its own. */
function continues(before: string, line: string, isListed: IsListedHost): boolean {
  const start = before.trimEnd();
  const next = line.trim();
  if (/<[^<>]*$/.test(start)) return /^[^\s<>]+>/.test(next) && lastAddress(start, isListed) !== undefined;
  // Cheap signs first: most lines of a long list show none of them.
  if (!endsUnfinished.test(start) && !beginsAsRest.test(next)) return false;
  if (/\s/.test(next)) return false;
  const last = lastAddress(start, isListed);
  if (!last || (last.joined ?? last).end < start.length) return false;
  return scan(next, isListed).found.length === 0;
}

function lastAddress(text: string, isListed: IsListedHost): FoundAddress | undefined {
  const last = scan(text, isListed).found.at(-1);
  return last?.kind === 'address' ? last : undefined;
}

/** Looks like a link and nothing else, for the cost of one expression. */
const oneAddress = /^[^\p{L}\p{N}]*(?:\d{1,3}[.)]?\s)?[^\p{L}\p{N}]*[\p{L}]\S*[:./\\]\S*\s*$/u;
/** @param text a line, or the lines over which an address was broken */
function isOneAddress(text: string): boolean {
  return oneAddress.test(text.replaceAll('\n', ''));
}

const mostWordsOfLabel = 8;
const longestLabel = 60;

/** Puts a label to the link below it: behind a colon, in a block of the two, or where the whole list goes so. */
function withLabels(lines: readonly Line[], isListed: IsListedHost): readonly string[] {
  const isPairs =
    lines.length > 0 &&
    lines.length % 2 === 0 &&
    lines.every(({ text }, index) => index % 2 === (isOneAddress(text) ? 1 : 0));
  const pieces: string[] = [];
  for (let index = 0; index < lines.length; index += 1) {
    const line = lines[index] as Line;
    const next = lines[index + 1];
    if (next && belongTogether(lines, index, isPairs) && isLabel(line.text, isListed) && isLink(next.text, isListed)) {
      pieces.push(`${line.text}\n${next.text}`);
      index += 1;
    } else pieces.push(line.text);
  }
  return pieces;
}

function belongTogether(lines: readonly Line[], index: number, isPairs: boolean): boolean {
  const [before, line, next, after] = [-1, 0, 1, 2].map((step) => lines[index + step]);
  if (!line || !next || !isOneAddress(next.text)) return false;
  if (/[:\uff1a]\s*$/u.test(line.text) && line.block === next.block) return true;
  const isBlock = line.block === next.block && before?.block !== line.block && after?.block !== line.block;
  return isBlock || (isPairs && index % 2 === 0);
}

function isLabel(text: string, isListed: IsListedHost): boolean {
  const plain = text.trim();
  if (plain.length > longestLabel || /[.,;?!…。？！]$/u.test(plain) || plain.split(/\s+/u).length > mostWordsOfLabel)
    return false;
  return scan(plain, isListed).found.length === 0;
}

function isLink(text: string, isListed: IsListedHost): boolean {
  const [only, ...more] = scan(text, isListed).found;
  if (more.length > 0 || only?.kind !== 'address') return false;
  const beside = [text.slice(0, only.start), text.slice((only.joined ?? only).end)];
  return beside.every((gap) => !/[\p{L}\p{N}]/u.test(withoutListMarks(gap).rest));
}
