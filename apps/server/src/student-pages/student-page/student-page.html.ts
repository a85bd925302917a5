/** The students' pages as HTML: written for a small phone, readable without any script. Every text is escaped. */
import type { FileView, KeptFileView, KeptView, PictureSetView } from '@hapset/contract';
import { documentHtml, type PageDocument } from '@hapset/core';
import { studentTexts, type LanguageTag } from '@hapset/student-texts';
import escape from 'escape-html';
import sanitizeHtml from 'sanitize-html';
import type { StudentAssetNames } from './student-assets.js';
import { frameHtml, plainPageHtml, type Frame } from './student-frame.html.js';

export interface StudentPage {
  readonly title: string;
  readonly frame: Frame;
  /** Its own, for link previews. */
  readonly address: string;
  readonly kept: KeptView;
  /** Of a written page. */
  readonly document: PageDocument | null;
  readonly fileOf: (id: string) => FileView | null;
}

export function studentPageHtml(page: StudentPage): string {
  const { title, kept, frame } = page;
  const scripts = scriptsFor(kept, frame.assets);
  // What teachers write is in the school's language, as far as anybody knows.
  const written = `lang="${escape(frame.school.language)}" dir="auto"`;
  return frameHtml(frame, {
    title,
    body: `<h1 ${written}>${escape(title)}</h1>${contentHtml(page, written)}`,
    head: `${previewTags(page, previewPicture(page))}${scripts.map((address) => `<script type="module" src="${escape(address)}"></script>`).join('')}`,
  });
}

export type GoneReason = 'missing' | 'withdrawn' | 'over';

/** A friendly page that names the school. */
export function goneHtml(reason: GoneReason, frame: Frame): string {
  const t = studentTexts(frame.asked.tag);
  return plainPageHtml(frame, t(reason), `<p class="lead">${escape(t(`${reason}Why`))}</p>`);
}

/** @param written attributes of what the teacher wrote */
function contentHtml({ kept, document, fileOf, frame }: StudentPage, written: string): string {
  switch (kept.kind) {
    case 'file':
      return fileHtml(kept, frame, written);
    case 'picture-set':
      return picturesHtml(kept, written);
    case 'written-page':
      return `<article ${written}>${document ? cleanHtml(documentHtml(document, fileOf)) : ''}</article>`;
  }
}

function fileHtml({ file, transcript, captions }: KeptFileView, frame: Frame, written: string): string {
  const { tag } = frame.asked;
  const t = studentTexts(tag);
  const address = escape(file.address);
  const speed = `data-speed="${escape(t('speed'))}"`;
  const spoken =
    transcript === ''
      ? ''
      : `<details class="words" open><summary>${escape(t('transcript'))}</summary><div ${written}>${transcript
          .split(/\n+/)
          .map((line) => `<p>${escape(line)}</p>`)
          .join('')}</div></details>`;
  switch (file.media) {
    case 'sound':
      return `<audio controls preload="metadata" src="${address}" ${speed}></audio>${spoken}`;
    case 'film':
      return `<video controls playsinline preload="metadata" src="${address}" ${speed}>${captions ? `<track kind="captions" srclang="${escape(frame.school.language)}" label="${escape(t('captions'))}" src="${escape(captions.address)}" default>` : ''}</video>${spoken}`;
    case 'picture':
      return `<figure>${pictureTag(file, file.name, false)}</figure>`;
    case 'pdf':
      return pdfHtml(file.address, file, tag);
    case 'office':
      return file.variants.includes('pdf')
        ? `${pdfHtml(`${file.address}/pdf`, file, tag)}<p>${saveLink(file.address, file, t('saveOriginal'), tag)}</p>`
        : `<p class="lead">${saveLink(file.address, file, t('open'), tag)}</p>`;
    case 'captions':
    case 'other':
      return `<p class="lead">${saveLink(file.address, file, t('saveFile'), tag)}</p>`;
  }
}

/** A link that works without any script; the viewer takes its place when it has come. */
function pdfHtml(address: string, { name, sizeBytes }: FileView, tag: LanguageTag): string {
  const t = studentTexts(tag);
  const pages = t('page', { page: '{page}', pages: '{pages}' });
  return `<p class="lead"><a class="open" href="${escape(address)}">${escape(t('openFile', { name: isolated(name) }))}</a> <span class="size">${sizeWords(sizeBytes, tag)}</span></p><div id="pdf" data-src="${escape(address)}" data-page="${escape(pages)}"></div>`;
}

function saveLink(address: string, { name, sizeBytes }: FileView, words: string, tag: LanguageTag): string {
  return `<a class="open" href="${escape(address)}" download="${escape(name)}">${escape(words)}</a> <span class="size"><bdi>${escape(name)}</bdi> · ${sizeWords(sizeBytes, tag)}</span>`;
}

/** A name inside a sentence that may run the other way (UAX 9, first strong isolate). */
function isolated(name: string): string {
  return `\u2068${name}\u2069`;
}

function picturesHtml({ pictures }: PictureSetView, written: string): string {
  const shown = pictures.map(
    ({ file, caption, alternative }, index) =>
      `<figure>${pictureTag(file, alternative, index > 1)}${caption === '' ? '' : `<figcaption>${escape(caption)}</figcaption>`}</figure>`,
  );
  return `<div class="pictures" ${written}>${shown.join('')}</div>`;
}

function pictureTag({ address, widthPx, heightPx }: FileView, alternative: string, later: boolean): string {
  const size = widthPx === null || heightPx === null ? '' : ` width="${widthPx}" height="${heightPx}"`;
  const source = escape(address);
  return `<a href="${source}"><img src="${source}/w1280" srcset="${source}/w640 640w, ${source}/w1280 1280w" sizes="(max-width: 700px) 94vw, 660px" alt="${escape(alternative)}"${size}${later ? ' loading="lazy"' : ''}></a>`;
}

/** Only what the core writes may come through; a second look by other eyes, should the first ever fail. */
export function cleanHtml(html: string): string {
  return sanitizeHtml(html, {
    allowedTags: [
      'p',
      'h2',
      'h3',
      'h4',
      'ul',
      'ol',
      'li',
      'blockquote',
      'hr',
      'div',
      'table',
      'tbody',
      'tr',
      'td',
      'th',
      'figure',
      'figcaption',
      'img',
      'audio',
      'video',
      'br',
      'strong',
      'em',
      'u',
      's',
      'code',
      'a',
      'span',
    ],
    allowedAttributes: {
      a: ['href', 'rel'],
      img: ['src', 'srcset', 'sizes', 'alt', 'loading', 'width', 'height'],
      audio: ['src', 'controls', 'preload'],
      video: ['src', 'controls', 'preload'],
      ol: ['start'],
      td: ['colspan', 'rowspan'],
      th: ['colspan', 'rowspan'],
      '*': ['class'],
    },
    allowedClasses: { '*': ['wide', /^(?:align|colour|font|size)-[a-z]+$/] },
    allowedSchemes: ['http', 'https', 'mailto', 'tel'],
    // Pictures and sounds come from this server alone.
    exclusiveFilter: ({ tag, attribs }) =>
      ['img', 'audio', 'video'].includes(tag) && !/^\/k\/[a-z0-9]+(?:\/[a-z0-9]+)?$/.test(attribs.src ?? ''),
  });
}

function previewTags({ title, frame, address }: StudentPage, picture: string | null): string {
  const image =
    picture === null ? '' : `<meta property="og:image" content="${escape(new URL(picture, address).href)}">`;
  return `<meta property="og:title" content="${escape(title)}"><meta property="og:site_name" content="${escape(frame.school.name)}"><meta property="og:type" content="website">${image}`;
}

function previewPicture({ kept, document, fileOf }: StudentPage): string | null {
  const first =
    kept.kind === 'file'
      ? kept.file
      : kept.kind === 'picture-set'
        ? kept.pictures[0]?.file
        : document
          ? firstPicture(document, fileOf)
          : null;
  return first?.media === 'picture' ? `${first.address}/w640` : null;
}

function firstPicture({ content }: PageDocument, fileOf: StudentPage['fileOf']): FileView | null {
  const node = content.find(({ type }) => type === 'keptPicture');
  return node?.attrs?.fileId === undefined ? null : fileOf(node.attrs.fileId);
}

function scriptsFor(kept: KeptView, { pdfScript, playerScript }: StudentAssetNames): readonly string[] {
  if (kept.kind !== 'file') return [];
  const { media, variants } = kept.file;
  const script =
    media === 'pdf' || (media === 'office' && variants.includes('pdf'))
      ? pdfScript
      : media === 'sound' || media === 'film'
        ? playerScript
        : null;
  return script === null ? [] : [script];
}

/** "640 kB", "3.2 MB", as that language writes it */
function sizeWords(bytes: number, tag: LanguageTag): string {
  const [value, unit] =
    bytes < 1_000_000 ? [Math.max(1, Math.round(bytes / 1000)), 'kilobyte'] : [bytes / 1_000_000, 'megabyte'];
  return new Intl.NumberFormat(tag, { style: 'unit', unit, maximumFractionDigits: 1 }).format(Number(value));
}
