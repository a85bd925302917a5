/** What was copied out of a page or a document, as text that keeps its links with their labels and its table's columns. */

/** More of it is not looked at: then the plain text is taken. Characters. */
const longestHtml = 500_000;
const blocks = new Set([
  'P',
  'DIV',
  'LI',
  'TR',
  'BR',
  'H1',
  'H2',
  'H3',
  'H4',
  'H5',
  'H6',
  'BLOCKQUOTE',
  'SECTION',
  'UL',
  'OL',
  'TABLE',
]);
const silent = new Set(['SCRIPT', 'STYLE', 'TEMPLATE', 'HEAD', 'TITLE']);

/** Text for the intake: `[label](link)` for links, a tab between cells, a line for each block; null where the plain text says as much. */
export function textOfHtml(html: string): string | null {
  if (html.length > longestHtml || !/<(?:a|td|th)\b/i.test(html)) return null;
  const body = new DOMParser().parseFromString(html, 'text/html').body;
  if (!body.querySelector('a[href^="http"], a[href^="mailto:"], td, th')) return null;
  const text = textOf(body)
    .split('\n')
    .map((line) =>
      line
        .replace(/ +/g, ' ')
        .replace(/ ?\t ?/g, '\t')
        .trim(),
    )
    .filter((line) => line !== '')
    .join('\n');
  return text === '' ? null : text;
}

/** What is pasted, its links with their labels where there are some. */
export function textOfClipboard(data: DataTransfer | null): string {
  return textOfHtml(data?.getData('text/html') ?? '') ?? data?.getData('text/plain') ?? '';
}

/** Deeper, only the text counts: documents are not nested like that, attacks are. */
const deepest = 200;

function textOf(node: Node, depth = 0): string {
  if (node.nodeType === Node.TEXT_NODE || depth > deepest) return (node.textContent ?? '').replace(/\s+/g, ' ');
  if (!(node instanceof HTMLElement) || silent.has(node.tagName)) return '';
  const inner = [...node.childNodes].map((child) => textOf(child, depth + 1)).join('');
  if (node instanceof HTMLAnchorElement) return linkText(node.getAttribute('href') ?? '', inner);
  if (node.tagName === 'TD' || node.tagName === 'TH') return `${inner.replace(/\s+/g, ' ').trim()}\t`;
  return blocks.has(node.tagName) ? `\n${inner.replace(/\t$/, '')}\n` : inner;
}

/** A label that is the link itself adds nothing. */
function linkText(href: string, inner: string): string {
  const label = inner.replace(/\s+/g, ' ').trim();
  if (!/^(?:https?:|mailto:)/i.test(href)) return inner;
  const plain = (text: string): string => text.replace(/^(?:https?:\/\/|mailto:)|\/$/gi, '');
  if (label === '' || plain(label) === plain(href)) return ` ${href} `;
  // Brackets in pairs are part of the link; others would end it.
  const target = /^(?:[^()]|\([^()]*\))*$/.test(href) ? href : href.replace(/\(/g, '%28').replace(/\)/g, '%29');
  return `[${label.replace(/[[\]]/g, '')}](${target})`;
}
