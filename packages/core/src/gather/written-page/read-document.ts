/** Reads what an editor, a script or an attacker sent: only what a page may hold comes through, everything else is left out. */
import { unreachable } from '../../platform/result.js';
import {
  blockTypes,
  documentLimits,
  inlineTypes,
  markTypes,
  palette,
  type PageAttributes,
  type PageDocument,
  type PageMark,
  type PageNode,
  type PageNodeType,
} from './document.js';
import { parseUrl } from '../../platform/web-address.js';

type Given = Readonly<Record<string, unknown>>;

/** Null for what is no document at all, or is larger than a page may be. */
export function readDocument(given: unknown): PageDocument | null {
  if (!isGiven(given) || given.type !== 'doc') return null;
  const reading = { nodes: 0, characters: 0 };
  const content = readNodes(given.content, 1, reading);
  return reading.nodes > documentLimits.nodes || reading.characters > documentLimits.characters
    ? null
    : { type: 'doc', content };
}

/** Ids of the kept files in it, each once, in their order. */
export function documentFiles({ content }: PageDocument): readonly string[] {
  return [...new Set(walk(content).flatMap(({ attrs }) => attrs?.fileId ?? []))];
}

/** Addresses of the links in it, each once, in their order. */
export function documentLinks(document: PageDocument): readonly string[] {
  return labelledLinks(document).map(({ address }) => address);
}

/** The links in it with the words that carry them, each address once, in their order. */
export function labelledLinks({
  content,
}: PageDocument): readonly { readonly address: string; readonly text: string }[] {
  const labels = new Map<string, string>();
  for (const { text = '', marks = [] } of walk(content)) {
    const href = marks.find(({ type }) => type === 'link')?.attrs?.href;
    if (href !== undefined) labels.set(href, (labels.get(href) ?? '') + text);
  }
  return [...labels].map(([address, text]) => ({ address, text: text.trim() }));
}

/** Its words, a block a line. */
export function documentText({ content }: PageDocument): string {
  return content
    .map(textOf)
    .filter((line) => line !== '')
    .join('\n');
}

function textOf(node: PageNode): string {
  if (node.type === 'text') return node.text ?? '';
  if (node.type === 'hardBreak') return ' ';
  const apart = ['listItem', 'tableCell', 'tableHeader', 'tableRow'].includes(node.content?.[0]?.type ?? '') ? ' ' : '';
  return (node.content ?? []).map(textOf).join(apart).trim();
}

function walk(nodes: readonly PageNode[]): readonly PageNode[] {
  return nodes.flatMap((node) => [node, ...walk(node.content ?? [])]);
}

function readNodes(given: unknown, depth: number, reading: { nodes: number; characters: number }): readonly PageNode[] {
  if (!Array.isArray(given) || depth > documentLimits.depth) return [];
  return (given as readonly unknown[]).flatMap((each): readonly PageNode[] => {
    reading.nodes += 1;
    if (!isGiven(each) || reading.nodes > documentLimits.nodes) return [];
    const type = [...blockTypes, ...inlineTypes].find((known) => known === each.type);
    // What is unknown goes, what is in it stays.
    if (type === undefined) return readNodes(each.content, depth + 1, reading);
    return readNode(type, each, depth, reading);
  });
}

function readNode(
  type: PageNodeType,
  given: Given,
  depth: number,
  reading: { nodes: number; characters: number },
): readonly PageNode[] {
  if (type === 'text') {
    if (typeof given.text !== 'string' || given.text === '') return [];
    const text = given.text.normalize('NFC');
    reading.characters += text.length;
    const marks = readMarks(given.marks);
    return [{ type, text, ...(marks.length > 0 && { marks }) }];
  }
  const attrs = readAttributes(type, isGiven(given.attrs) ? given.attrs : {});
  if ((type === 'keptPicture' || type === 'keptMedia') && attrs.fileId === undefined) return [];
  const content = readNodes(given.content, depth + 1, reading);
  return [{ type, ...(Object.keys(attrs).length > 0 && { attrs }), ...(content.length > 0 && { content }) }];
}

function readAttributes(type: PageNodeType, given: Given): PageAttributes {
  switch (type) {
    case 'heading':
      return { level: whole(given.level, 1, 3) ?? 2, ...alignment(given) };
    case 'paragraph':
      return alignment(given);
    case 'orderedList': {
      const start = whole(given.start, 1, 9999);
      return start === null || start === 1 ? {} : { start };
    }
    case 'tableCell':
    case 'tableHeader': {
      const [colspan, rowspan] = [whole(given.colspan, 2, 50), whole(given.rowspan, 2, 50)];
      return { ...(colspan !== null && { colspan }), ...(rowspan !== null && { rowspan }) };
    }
    case 'keptPicture':
    case 'keptMedia': {
      if (typeof given.fileId !== 'string' || !/^[0-9a-f-]{36}$/.test(given.fileId)) return {};
      const alt = typeof given.alt === 'string' ? given.alt.normalize('NFC').slice(0, 300) : '';
      return {
        fileId: given.fileId,
        alt,
        ...(type === 'keptMedia' && { media: given.media === 'film' ? 'film' : 'sound' }),
      };
    }
    case 'text':
    case 'hardBreak':
    case 'bulletList':
    case 'listItem':
    case 'blockquote':
    case 'horizontalRule':
    case 'table':
    case 'tableRow':
      return {};
    default:
      return unreachable(type);
  }
}

function alignment({ textAlign }: Given): PageAttributes {
  const known = palette.alignments.find((each) => each === textAlign);
  return known === undefined || known === 'left' ? {} : { textAlign: known };
}

function readMarks(given: unknown): readonly PageMark[] {
  if (!Array.isArray(given)) return [];
  return (given as readonly unknown[]).flatMap((each): readonly PageMark[] => {
    if (!isGiven(each)) return [];
    const attrs = isGiven(each.attrs) ? each.attrs : {};
    const type = markTypes.find((known) => known === each.type);
    if (type === undefined) return [];
    if (type === 'link') return isSafeLink(attrs.href) ? [{ type, attrs: { href: attrs.href } }] : [];
    if (type !== 'look') return [{ type }];
    const look = {
      ...chosen('colour', attrs.colour, palette.colours),
      ...chosen('font', attrs.font, palette.fonts),
      ...chosen('size', attrs.size, palette.sizes),
    };
    return Object.keys(look).length === 0 ? [] : [{ type, attrs: look }];
  });
}

/** http, https, mailto and tel; nothing that runs, and nothing that a browser would have to fix first. */
export function isSafeLink(given: unknown): given is string {
  if (typeof given !== 'string' || given.length > 2000 || /[\s"<>]/.test(given)) return false;
  const protocol = parseUrl(given)?.protocol;
  return protocol !== undefined && ['http:', 'https:', 'mailto:', 'tel:'].includes(protocol);
}

function chosen(
  name: string,
  given: unknown,
  choices: Readonly<Record<string, string>>,
): Readonly<Record<string, string>> {
  return typeof given === 'string' && Object.hasOwn(choices, given) ? { [name]: given } : {};
}

function whole(given: unknown, least: number, most: number): number | null {
  return typeof given === 'number' && Number.isInteger(given) && given >= least && given <= most ? given : null;
}

function isGiven(given: unknown): given is Given {
  return typeof given === 'object' && given !== null && !Array.isArray(given);
}
