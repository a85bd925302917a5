/**
 * Counts what a JSON text (RFC 8259) holds before it is parsed: how deep it nests, how many members its objects have,
 * how many items its longest array. One pass over the bytes; a text that is no JSON is left to the parser.
 */
export interface ShapeLimits {
  readonly depth: number;
  /** Members of all objects together. */
  readonly members: number;
  /** Members of one object. */
  readonly membersOfOne: number;
  /** Items of one array. */
  readonly items: number;
}

export type ShapeExcess = 'not-an-object' | 'too-deep' | 'too-many-members' | 'too-many-items';

const [quote, backslash, colon, comma, openBrace, closeBrace, openBracket, closeBracket] = [
  '"',
  '\\',
  ':',
  ',',
  '{',
  '}',
  '[',
  ']',
].map((sign) => sign.charCodeAt(0));
const blanks = new Set([0x20, 0x09, 0x0a, 0x0d]);

/** What is too much; null where all is within the limits. */
// One loop on purpose: it looks at every byte of every request.
// eslint-disable-next-line complexity
export function shapeExcess(text: Uint8Array, limits: ShapeLimits): ShapeExcess | null {
  const begin = text.findIndex((byte) => !blanks.has(byte));
  if (begin >= 0 && text[begin] !== openBrace) return 'not-an-object';
  /** Items of each array that is open; members of objects as negative numbers, less one. */
  const open: number[] = [];
  let members = 0;
  for (let at = 0; at < text.length; at += 1) {
    switch (text[at] ?? 0) {
      case quote:
        at = endOfString(text, at);
        break;
      case colon:
        members += 1;
        open[open.length - 1] = (open.at(-1) ?? -1) - 1;
        if (members > limits.members || -(open.at(-1) ?? -1) - 1 > limits.membersOfOne) return 'too-many-members';
        break;
      case comma: {
        const last = open.length - 1;
        const items = open[last] ?? -1;
        if (items >= 0) open[last] = items + 1;
        if (items + 1 > limits.items) return 'too-many-items';
        break;
      }
      case openBrace:
      case openBracket:
        open.push(text[at] === openBracket ? 1 : -1);
        if (open.length > limits.depth) return 'too-deep';
        break;
      case closeBrace:
      case closeBracket:
        open.pop();
        break;
      default:
    }
  }
  return null;
}

/** Of the closing quote; the end where there is none. */
function endOfString(text: Uint8Array, begin: number): number {
  for (let at = begin + 1; at < text.length; at += 1) {
    if (text[at] === backslash) at += 1;
    else if (text[at] === quote) return at;
  }
  return text.length;
}
