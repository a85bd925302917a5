/** Links with their labels, as Markdown, HTML, forums and chats write them. */

/** An address in markup, with what it is called there. */
export interface Marked {
  readonly start: number;
  readonly end: number;
  readonly address: string;
  readonly label: string | null;
}

type Reader = (found: RegExpExecArray) => { readonly address: string; readonly label: string };

const forms: readonly (readonly [RegExp, Reader])[] = [
  [
    /<a\s[^>]{0,2000}?\bhref\s*=\s*(?:"([^"]*)"|'([^']*)'|([^\s>]+))[^>]{0,2000}>([^]{0,2000}?)<\/a\s*>/iy,
    ([, double, single, plain, inner = '']) => ({
      address: decoded(double ?? single ?? plain ?? ''),
      label: decoded(inner.replace(/<[^>]*>/g, '')),
    }),
  ],
  [
    /!?\[([^\]\n]{0,500})\]\(\s*<?((?:[^\s()<>]|\([^\s()]*\)){1,4000})>?(?:\s+["'][^\n]{0,500}?["'])?\s*\)/y,
    ([, label = '', address = '']) => ({ address, label }),
  ],
  [
    /\[url=["']?([^\]\s"']{1,4000})["']?\]([^]{0,500}?)\[\/url\]/iy,
    ([, address = '', label = '']) => ({ address, label }),
  ],
  [/\[url\]([^[\]]{1,4000})\[\/url\]/iy, ([, address = '']) => ({ address, label: '' })],
  // RFC 3986, appendix C: an address in angle brackets may be broken over lines; chats add a label behind a bar.
  [
    /<(?:url:)?\s*([^<>|"]{1,4000})(?:\|([^<>]{0,500}))?>/iy,
    ([, address = '', label = '']) => ({ address: address.replace(/\s+/gu, ''), label }),
  ],
];
const tag = /<\/?(?:a|b|i|u|p|li|ul|ol|br|em|strong|span|div|td|tr|h[1-6])(?:\s[^<>]{0,2000})?\/?>/gi;

/** What is in markup at this place; null for none. */
export function markedAt(text: string, start: number): Marked | null {
  for (const [pattern, read] of forms) {
    pattern.lastIndex = start;
    const found = pattern.exec(text);
    if (!found) continue;
    const { address, label } = read(found);
    const called = label.replace(/\s+/gu, ' ').trim();
    return { start, end: start + found[0].length, address: address.trim(), label: called === '' ? null : called };
  }
  return null;
}

/** Without the tags around links: "<li>", "</p>". Text that holds no link in HTML is left as it is. */
export function withoutTags(text: string): string {
  return /<a\s[^>]*href|https?:/i.test(text)
    ? text.replace(tag, (found) => (/^<\/?a\b/i.test(found) ? found : ' '))
    : text;
}

const entities: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'", nbsp: ' ' };

function decoded(text: string): string {
  return text.replace(
    /&(?:#(\d{1,7})|#x([0-9a-f]{1,6})|([a-z]{2,6}));/gi,
    (whole, decimal?: string, hex?: string, name = '') => {
      const code = decimal === undefined ? Number.parseInt(hex ?? '', 16) : Number(decimal);
      if (Number.isNaN(code)) return entities[String(name).toLowerCase()] ?? whole;
      return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : whole;
    },
  );
}
