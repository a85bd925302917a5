/** A page of HTML around a body, in the dress of its service. */
export interface Dress {
  readonly service: string;
  /** The service's own style sheet. */
  readonly css: string;
  /** What stands at the top of each page. */
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
