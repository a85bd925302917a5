/** The text values of content lines that vCard (RFC 6350, 3.4) and iCalendar (RFC 5545, 3.3.11) share. */

/** `\`, `;`, `,` and line ends escaped. */
export function escapeText(text: string): string {
  return text.replace(/[\\;,]/g, '\\$&').replace(/\r\n|\r|\n/g, '\\n');
}

/** Undoes `escapeText` (RFC 6350, 3.4; RFC 5545, 3.3.11). */
export function unescapeText(text: string): string {
  return text.replace(/\\([\\;,nN])/g, (_, character: string) => (character.toLowerCase() === 'n' ? '\n' : character));
}

/** Splits at separators that are not escaped. */
export function splitEscaped(text: string, separator: string): readonly string[] {
  const parts = [''];
  for (let index = 0; index < text.length; index += 1) {
    const character = text.charAt(index);
    if (character === separator) parts.push('');
    else if (character === '\\') {
      parts[parts.length - 1] += character + text.charAt(index + 1);
      index += 1;
    } else parts[parts.length - 1] += character;
  }
  return parts;
}

/** Name (in capitals, parameters left out) and value of each line. */
export function readLines(payload: string): readonly (readonly [string, string])[] {
  return payload
    .replace(/\r?\n[ \t]/g, '')
    .split(/\r?\n/)
    .flatMap((line): readonly (readonly [string, string])[] => {
      const colon = line.indexOf(':');
      return colon < 0 ? [] : [[(line.slice(0, colon).split(';')[0] ?? '').toUpperCase(), line.slice(colon + 1)]];
    });
}
