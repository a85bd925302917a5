/** The students' pages as HTML: written for a small phone, readable without any script. Every text is escaped. */
import type { FileView, KeptFileView, KeptView, PictureSetView } from '@hapset/contract';
import { documentHtml, type PageDocument } from '@hapset/core';
import escape from 'escape-html';
import sanitizeHtml from 'sanitize-html';
import type { StudentAssetNames } from './student-assets.js';

export interface StudentPage {
  readonly title: string;
  readonly schoolName: string;
  /** Its own, for link previews. */
  readonly address: string;
  readonly kept: KeptView;
  /** Of a written page. */
  readonly document: PageDocument | null;
  readonly fileOf: (id: string) => FileView | null;
  readonly assets: StudentAssetNames;
}

export function studentPageHtml(page: StudentPage): string {
  const { kept, assets } = page;
  const picture = previewPicture(page);
  const scripts = scriptsFor(kept, assets);
  return frame(
    page,
    `<h1>${escape(page.title)}</h1>${contentHtml(page)}`,
    `${previewTags(page, picture)}${scripts.map((address) => `<script type="module" src="${escape(address)}"></script>`).join('')}`,
  );
}

export type GoneReason = 'missing' | 'withdrawn' | 'expired';

const goneWords: Readonly<Record<GoneReason, readonly [string, string]>> = {
  missing: [
    'There is nothing at this address',
    'Perhaps a letter was typed differently. Look at the paper once more, or ask your teacher.',
  ],
  withdrawn: ['This was taken down', 'Your teacher has put it away. Ask for the new one.'],
  expired: ['This is over', 'It was shown for a certain time, and that time has passed. Ask your teacher.'],
};

/** A friendly page that names the school. */
export function goneHtml(reason: GoneReason, schoolName: string, assets: StudentAssetNames): string {
  const [title, words] = goneWords[reason];
  return plainPageHtml(title, `<p class="lead">${escape(words)}</p>`, schoolName, assets);
}

/** A page of a few words. @param body HTML, escaped by whoever writes it */
export function plainPageHtml(title: string, body: string, schoolName: string, assets: StudentAssetNames): string {
  return frame({ title, schoolName, assets }, `<h1>${escape(title)}</h1>${body}`, '');
}

function frame(
  { title, schoolName, assets }: Pick<StudentPage, 'title' | 'schoolName' | 'assets'>,
  body: string,
  head: string,
): string {
  const font =
    assets.font === null
      ? ''
      : `<link rel="preload" as="font" type="font/woff2" href="/${escape(assets.font)}" crossorigin>`;
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escape(title)} · ${escape(schoolName)}</title><meta name="robots" content="noindex">${font}<style>${assets.style}</style>${head}</head>
<body><header>${escape(schoolName)}</header><main>${body}</main></body></html>`;
}

function contentHtml({ kept, document, fileOf }: StudentPage): string {
  switch (kept.kind) {
    case 'file':
      return fileHtml(kept);
    case 'picture-set':
      return picturesHtml(kept);
    case 'written-page':
      return `<article>${document ? cleanHtml(documentHtml(document, fileOf)) : ''}</article>`;
  }
}

function fileHtml({ file, transcript, captions }: KeptFileView): string {
  const address = escape(file.address);
  const spoken =
    transcript === ''
      ? ''
      : `<details class="words" open><summary>The words</summary>${transcript
          .split(/\n+/)
          .map((line) => `<p>${escape(line)}</p>`)
          .join('')}</details>`;
  switch (file.media) {
    case 'sound':
      return `<audio controls preload="metadata" src="${address}"></audio>${spoken}`;
    case 'film':
      return `<video controls playsinline preload="metadata" src="${address}">${captions ? `<track kind="captions" srclang="en" label="Captions" src="${escape(captions.address)}" default>` : ''}</video>${spoken}`;
    case 'picture':
      return `<figure>${pictureTag(file, file.name, false)}</figure>`;
    case 'pdf':
      return pdfHtml(file.address, file);
    case 'office':
      return file.variants.includes('pdf')
        ? `${pdfHtml(`${file.address}/pdf`, file)}<p>${saveLink(file.address, file, 'Save it as it was written')}</p>`
        : `<p class="lead">${saveLink(file.address, file, 'Open it')}</p>`;
    case 'captions':
    case 'other':
      return `<p class="lead">${saveLink(file.address, file, 'Save it')}</p>`;
  }
}

/** A link that works without any script; the viewer takes its place when it has come. */
function pdfHtml(address: string, file: FileView): string {
  return `<p class="lead"><a class="open" href="${escape(address)}">Open ${escape(file.name)}</a> <span class="size">${sizeWords(file.sizeBytes)}</span></p><div id="pdf" data-src="${escape(address)}"></div>`;
}

function saveLink(address: string, file: FileView, words: string): string {
  return `<a class="open" href="${escape(address)}" download="${escape(file.name)}">${escape(words)}</a> <span class="size">${escape(file.name)}, ${sizeWords(file.sizeBytes)}</span>`;
}

function picturesHtml({ pictures }: PictureSetView): string {
  const shown = pictures.map(
    ({ file, caption, alternative }, index) =>
      `<figure>${pictureTag(file, alternative, index > 1)}${caption === '' ? '' : `<figcaption>${escape(caption)}</figcaption>`}</figure>`,
  );
  return `<div class="pictures">${shown.join('')}</div>`;
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

function previewTags({ title, schoolName, address }: StudentPage, picture: string | null): string {
  const image =
    picture === null ? '' : `<meta property="og:image" content="${escape(new URL(picture, address).href)}">`;
  return `<meta property="og:title" content="${escape(title)}"><meta property="og:site_name" content="${escape(schoolName)}"><meta property="og:type" content="website">${image}`;
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

function sizeWords(bytes: number): string {
  return bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} KB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}
