/** What is around every page for students: head, the school's name, and the languages at its foot. Every text is escaped. */
import { createHash } from 'node:crypto';
import { languages, studentTexts } from '@hapset/student-texts';
import escape from 'escape-html';
import type { AskedLanguage } from '../../platform/language/asked-language.js';
import { charactersByFamily } from './script-characters.js';
import type { StudentAssetNames } from './student-assets.js';

/** Fonts of pages that are no material's own, and of what all pages have at their foot. */
export const plainFontsAt = '/p/fonts';
/** The choice at the foot. */
export const languageNames = languages.map(({ name }) => name).join(' ');

export interface Frame {
  readonly school: { readonly name: string; readonly language: string };
  readonly asked: AskedLanguage;
  readonly assets: StudentAssetNames;
  /** Where fonts for other scripts are served; null where a page may load nothing. */
  readonly fontsAt: string | null;
}

interface Parts {
  readonly title: string;
  /** HTML; whoever writes it escapes it. */
  readonly body: string;
  readonly head?: string;
}

export function frameHtml({ school, asked, assets, fontsAt }: Frame, { title, body, head = '' }: Parts): string {
  const font =
    assets.font === null
      ? ''
      : `<link rel="preload" as="font" type="font/woff2" href="/${escape(assets.font)}" crossorigin>`;
  const shown = `<header><bdi lang="${escape(school.language)}">${escape(school.name)}</bdi></header><main>${body}</main>`;
  const faces =
    fontsAt === null
      ? ''
      : `${scriptFaces('Hapset Script', `${title}${shown}`, fontsAt, `lang=${asked.tag}`)}${scriptFaces('Hapset Names', languageNames, plainFontsAt, 'names')}`;
  return `<!doctype html>
<html lang="${asked.tag}" dir="${asked.direction}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escape(title)} · ${escape(school.name)}</title><meta name="robots" content="noindex">${font}<style>${assets.style}${faces}</style>${head}</head>
<body>${shown}${languageChoice(asked)}</body></html>`;
}

/** A page of a few words. */
export function plainPageHtml(frame: Frame, title: string, body: string): string {
  return frameHtml(frame, { title, body: `<h1>${escape(title)}</h1>${body}` });
}

/** Without a script and without a cookie: each is a link to this page in that language. */
function languageChoice({ tag }: AskedLanguage): string {
  const links = languages.map((language) =>
    language.tag === tag
      ? `<strong aria-current="true" lang="${language.tag}" dir="${language.direction}">${language.name}</strong>`
      : `<a lang="${language.tag}" hreflang="${language.tag}" dir="${language.direction}" rel="nofollow" href="?lang=${language.tag}">${language.name}</a>`,
  );
  return `<footer><nav aria-label="${escape(studentTexts(tag)('language'))}">${links.join(' ')}</nav></footer>`;
}

/** One face a family, of no more than those characters. @param query what is asked for at that address */
function scriptFaces(name: string, shown: string, fontsAt: string, query: string): string {
  return [...charactersByFamily(shown)]
    .map(([family, characters]) => {
      const version = createHash('sha256').update(characters.join('')).digest('base64url').slice(0, 10);
      return `@font-face{font-family:'${name}';font-display:swap;src:url(${fontsAt}/${family}.woff2?${query}&v=${version}) format('woff2');unicode-range:${ranges(characters)}}`;
    })
    .join('');
}

/** "U+627-62b,U+6cc" @param characters in the order of their code points */
function ranges(characters: readonly string[]): string {
  const found: [first: number, last: number][] = [];
  for (const character of characters) {
    const code = character.codePointAt(0) ?? 0;
    const open = found.at(-1);
    if (open && open[1] === code - 1) open[1] = code;
    else found.push([code, code]);
  }
  return found
    .map(([first, last]) => `U+${first.toString(16)}${last > first ? `-${last.toString(16)}` : ''}`)
    .join(',');
}
