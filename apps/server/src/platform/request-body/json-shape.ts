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
export function shapeExcess(text: Uint8Array, limits: ShapeLimits): ShapeExcess | null {
  const begin = text.findIndex((byte) => !blanks.has(byte));
  if (begin >= 0 && text[begin] !== openBrace) return 'not-an-object';
  const shape = new Shape(limits);
  for (let at = 0; at < text.length; at += 1) {
    const byte = text[at] ?? 0;
    if (byte === quote) at = endOfString(text, at);
    else {
      const excess = shape.excessAfter(byte);
      if (excess) return excess;
    }
  }
  return null;
}

/** What is open and how much was counted, byte by byte outside of strings. */
class Shape {
  /** Items of each array that is open; members of objects as negative numbers, less one. */
  private readonly open: number[] = [];
  private members = 0;

  constructor(private readonly limits: ShapeLimits) {}

  excessAfter(byte: number): ShapeExcess | null {
    switch (byte) {
      case colon:
        return this.member();
      case comma:
        return this.item();
      case openBrace:
        return this.begin(-1);
      case openBracket:
        return this.begin(1);
      case closeBrace:
      case closeBracket:
        this.open.pop();
        return null;
      default:
        return null;
    }
  }

  private member(): ShapeExcess | null {
    const { open, limits } = this;
    this.members += 1;
    const count = (open.at(-1) ?? -1) - 1;
    open[open.length - 1] = count;
    return this.members > limits.members || -count - 1 > limits.membersOfOne ? 'too-many-members' : null;
  }

  private item(): ShapeExcess | null {
    const last = this.open.length - 1;
    const items = this.open[last] ?? -1;
    if (items >= 0) this.open[last] = items + 1;
    return items + 1 > this.limits.items ? 'too-many-items' : null;
  }

  private begin(count: number): ShapeExcess | null {
    this.open.push(count);
    return this.open.length > this.limits.depth ? 'too-deep' : null;
  }
}

/** Of the closing quote; the end where there is none. */
function endOfString(text: Uint8Array, begin: number): number {
  for (let at = begin + 1; at < text.length; at += 1) {
    if (text[at] === backslash) at += 1;
    else if (text[at] === quote) return at;
  }
  return text.length;
}
