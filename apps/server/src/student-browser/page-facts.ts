/** Reads the facts of an HTML page that the core's rules ask for. The encoding is found as browsers do (BOM, header, meta). */
import { loadBuffer, type CheerioAPI } from 'cheerio';
import type { FormFacts, PageFacts } from '@hapset/core';

const unseen = 'script, style, noscript, template, svg, head, [hidden], [aria-hidden="true"], [style*="display:none"], [style*="display: none"]';
const blocks = new Set(['address', 'article', 'aside', 'blockquote', 'br', 'button', 'dd', 'div', 'dl', 'dt', 'fieldset', 'figcaption', 'footer', 'form', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'header', 'hr', 'legend', 'li', 'main', 'nav', 'ol', 'option', 'p', 'pre', 'section', 'summary', 'table', 'td', 'th', 'tr', 'ul']);
const firstLinesKept = 5;
const lineLength = 200;

/** @param charset from the Content-Type header, null when it names none */
export function readPage(body: Buffer, address: string, charset: string | null): PageFacts {
  const $ = loadBuffer(body, { encoding: { transportLayerEncodingLabel: charset ?? undefined, defaultEncoding: 'utf-8' } });
  const title = squeeze($('head title').first().text() || $('title').first().text());
  const scripts = $('script[src], script:not([src])').length;
  const refreshTo = refreshTarget($, address);
  const forms = $('form').toArray().map((form) => formFacts($, form)).filter((form) => form.fields.length > 0 || form.buttons.length > 0);
  $(unseen).remove();
  const media = $('img[src], audio, video, picture, object').length;
  const lines = visibleLines($);
  return {
    title: title.slice(0, lineLength),
    firstLines: lines.slice(0, firstLinesKept).map((line) => line.slice(0, lineLength)),
    visibleCharacters: lines.reduce((sum, line) => sum + line.length, 0),
    forms,
    scripts,
    media,
    refreshTo,
  };
}

function squeeze(text: string): string {
  return text.replace(/\s+/gu, ' ').trim();
}

function visibleLines($: CheerioAPI): string[] {
  const parts: string[] = [];
  const walk = (nodes: ReturnType<CheerioAPI>): void => {
    for (const node of nodes.toArray()) {
      if (node.type === 'text') parts.push(node.data);
      else if (node.type === 'tag') {
        const block = blocks.has(node.name);
        if (block) parts.push('\n');
        walk($(node).contents() as ReturnType<CheerioAPI>);
        if (block) parts.push('\n');
      }
    }
  };
  walk($('body').contents() as ReturnType<CheerioAPI>);
  return parts.join('').split('\n').map(squeeze).filter((line) => line !== '');
}

function formFacts($: CheerioAPI, form: Parameters<CheerioAPI>[0]): FormFacts {
  const fields = $(form)
    .find('input, select, textarea')
    .toArray()
    .map((field) => (field.name === 'input' ? ($(field).attr('type') ?? 'text').toLowerCase() : field.name));
  const buttons = $(form)
    .find('button, input[type="submit"]')
    .toArray()
    .map((button) => squeeze($(button).text() || ($(button).attr('value') ?? '')));
  return {
    action: $(form).attr('action') ?? '',
    method: ($(form).attr('method') ?? 'get').toLowerCase() === 'post' ? 'post' : 'get',
    fields: fields.filter((type) => !['hidden', 'submit', 'button', 'image', 'reset'].includes(type)),
    buttons,
  };
}

/** Target of `<meta http-equiv="refresh" content="0; url=...">` that leads on within ten seconds. */
function refreshTarget($: CheerioAPI, address: string): string | null {
  const content = $('meta[http-equiv]').filter((_, meta) => $(meta).attr('http-equiv')?.toLowerCase() === 'refresh').first().attr('content');
  const found = /^\s*(\d+)[^;,]*[;,]\s*(?:url\s*=\s*)?['"]?([^'"]+)/i.exec(content ?? '');
  if (!found || Number(found[1]) > 10 || !URL.canParse(found[2] ?? '', address)) return null;
  return new URL(found[2] ?? '', address).href;
}
