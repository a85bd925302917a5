/** Percent-encoding (RFC 3986, 2.1) of what is not unreserved; line ends become CRLF as mail and messages want them. */

/** Encodes all but unreserved characters and `keep`. */
export function percentEncode(text: string, keep = ''): string {
  return [...text.replace(/\r\n|\r|\n/g, '\r\n')]
    .map((character) =>
      /[A-Za-z0-9\-._~]/.test(character) || keep.includes(character) ? character : encode(character),
    )
    .join('');
}

/** The reverse; what is no valid escape stays as it is. Line ends come back as `\n`. */
export function percentDecode(text: string): string {
  return text.replace(/(?:%[0-9A-Fa-f]{2})+/g, (escapes) => decode(escapes)).replace(/\r\n/g, '\n');
}

function encode(character: string): string {
  // A lone half of a surrogate pair has no UTF-8 form; it becomes the replacement character, as everywhere on the web.
  const encoded = encodeURIComponent(/^[\ud800-\udfff]$/.test(character) ? '\ufffd' : character);
  return encoded.length === 1 ? `%${character.charCodeAt(0).toString(16).toUpperCase().padStart(2, '0')}` : encoded;
}

function decode(escapes: string): string {
  try {
    return decodeURIComponent(escapes);
  } catch {
    return escapes;
  }
}
