/** Plain text -> a written page: a paragraph a line, and nothing else. What moves from a code to a page keeps every word. */
import type { PageDocument } from './document.js';

/** A page with a paragraph for each line; empty lines stay. */
export function documentFromText(text: string): PageDocument {
  const lines = text.split(/\r\n|\n|\r/);
  return {
    type: 'doc',
    content: lines.map((line) =>
      line === '' ? { type: 'paragraph' } : { type: 'paragraph', content: [{ type: 'text', text: line }] },
    ),
  };
}
