/** What a student reads while the server can't reach its database: plain words, nothing to load, tried again by itself. */
import { studentTexts } from '@hapset/student-texts';
import escape from 'escape-html';
import { askedLanguage, type Asking } from '../language/asked-language.js';

export const awayPolicy =
  "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'";

/** In the phone's language: the school's can't be asked for. */
export function awayHtml(asking: Asking): string {
  const { tag, direction } = askedLanguage(asking);
  const t = studentTexts(tag);
  return `<!doctype html>
<html lang="${tag}" dir="${direction}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta http-equiv="refresh" content="10">
<title>${escape(t('waitAMoment'))}</title><meta name="robots" content="noindex"><style>:root{color-scheme:light dark}body{font:20px/1.5 system-ui,sans-serif;max-width:34rem;margin:15vh auto;padding:0 1.2rem}h1{font-size:1.7rem;line-height:1.2}</style></head>
<body><main><h1>${escape(t('away'))}</h1><p>${escape(t('awayWhy'))}</p><p>${escape(t('awayLonger'))}</p></main></body></html>
`;
}
