/** A page's document -> HTML. Only what readDocument lets through is known here, and every text and value is escaped. */
import type { PageDocument, PageMark, PageNode, PageAttributes } from './document.js';

/** A file as a page shows it. */
export interface ShownFile {
  readonly address: string;
  readonly name: string;
  readonly widthPx: number | null;
  readonly heightPx: number | null;
}

/** @param fileOf what a kept file is shown by; null for one that is gone, which is left out */
export function documentHtml({ content }: PageDocument, fileOf: (fileId: string) => ShownFile | null): string {
  return content.map((node) => nodeHtml(node, fileOf)).join('');
}

function nodeHtml(node: PageNode, fileOf: (fileId: string) => ShownFile | null): string {
  const { type, attrs = {}, content = [] } = node;
  const inner = (): string => content.map((child) => nodeHtml(child, fileOf)).join('');
  const aligned = attrs.textAlign === undefined ? '' : ` class="align-${attrs.textAlign}"`;
  switch (type) {
    case 'text':
      return (node.marks ?? []).reduceRight((html, mark) => markHtml(mark, html), escapeHtml(node.text ?? ''));
    case 'hardBreak':
      return '<br>';
    case 'paragraph':
      return `<p${aligned}>${inner()}</p>`;
    // The page's title is its h1; what is written begins below it.
    case 'heading':
      return headingHtml((attrs.level ?? 1) + 1, aligned, inner());
    case 'bulletList':
      return `<ul>${inner()}</ul>`;
    case 'orderedList':
      return `<ol${attribute('start', attrs.start)}>${inner()}</ol>`;
    case 'listItem':
      return `<li>${inner()}</li>`;
    case 'blockquote':
      return `<blockquote>${inner()}</blockquote>`;
    case 'horizontalRule':
      return '<hr>';
    case 'table':
      return `<div class="wide"><table><tbody>${inner()}</tbody></table></div>`;
    case 'tableRow':
      return `<tr>${inner()}</tr>`;
    case 'tableHeader':
      return cellHtml('th', attrs, inner());
    case 'tableCell':
      return cellHtml('td', attrs, inner());
    case 'keptPicture':
      return pictureHtml(fileOf(attrs.fileId ?? ''), attrs.alt ?? '');
    case 'keptMedia':
      return mediaHtml(fileOf(attrs.fileId ?? ''), attrs.media ?? 'sound');
  }
}

/** Nothing where there is no value. */
function attribute(name: string, value: number | undefined): string {
  return value === undefined ? '' : ` ${name}="${value}"`;
}

function headingHtml(level: number, aligned: string, inner: string): string {
  return `<h${level}${aligned}>${inner}</h${level}>`;
}

function cellHtml(tag: 'td' | 'th', { colspan, rowspan }: PageAttributes, inner: string): string {
  return `<${tag}${attribute('colspan', colspan)}${attribute('rowspan', rowspan)}>${inner}</${tag}>`;
}

function pictureHtml(file: ShownFile | null, alt: string): string {
  if (!file) return '';
  const size =
    file.widthPx === null || file.heightPx === null ? '' : ` width="${file.widthPx}" height="${file.heightPx}"`;
  const address = escapeHtml(file.address);
  return `<figure><img src="${address}/w1280" srcset="${address}/w640 640w, ${address}/w1280 1280w" sizes="(max-width: 700px) 94vw, 660px" alt="${escapeHtml(alt)}" loading="lazy"${size}></figure>`;
}

function mediaHtml(file: ShownFile | null, media: 'sound' | 'film'): string {
  if (!file) return '';
  const tag = media === 'film' ? 'video' : 'audio';
  return `<figure><${tag} controls preload="metadata" src="${escapeHtml(file.address)}"></${tag}><figcaption>${escapeHtml(file.name)}</figcaption></figure>`;
}

function markHtml({ type, attrs = {} }: PageMark, html: string): string {
  switch (type) {
    case 'bold':
      return `<strong>${html}</strong>`;
    case 'italic':
      return `<em>${html}</em>`;
    case 'underline':
      return `<u>${html}</u>`;
    case 'strike':
      return `<s>${html}</s>`;
    case 'code':
      return `<code>${html}</code>`;
    case 'link':
      return `<a href="${escapeHtml(attrs.href ?? '')}" rel="noopener noreferrer">${html}</a>`;
    case 'look': {
      const classes = [
        attrs.colour && `colour-${attrs.colour}`,
        attrs.font && `font-${attrs.font}`,
        attrs.size && `size-${attrs.size}`,
      ]
        .filter(Boolean)
        .join(' ');
      return `<span class="${classes}">${html}</span>`;
    }
  }
}

function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}
