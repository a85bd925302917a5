/** A page of HTML around a body, in the dress of its service. */
export interface Dress {
  readonly service: string;
  /** The service's own style sheet. */
  readonly css: string;
  /** What is at the top of each page. */
  readonly banner: string;
}

/** @param head more for the page's head */
export function page(dress: Dress, title: string, body: string, language = 'en', head = ''): string {
  return `<!doctype html>
<html lang="${language}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(title)}</title>${head}<style>${dress.css}</style></head>
<body><header>${dress.banner}</header><main>${body}</main></body></html>`;
}

export function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}

/** What a page of `page` is made of. */
export function partsOf(html: string): {
  readonly title: string;
  readonly css: string;
  readonly banner: string;
  readonly main: string;
} {
  const between = (from: string, to: string): string => html.split(from)[1]?.split(to)[0] ?? '';
  return {
    title: unescapeHtml(between('<title>', '</title>')),
    css: between('<style>', '</style>'),
    banner: between('<body><header>', '</header>'),
    main: between('</header><main>', '</main></body>'),
  };
}

function unescapeHtml(text: string): string {
  return text.replace(/&#(\d+);/g, (_, code: string) => String.fromCharCode(Number(code)));
}
