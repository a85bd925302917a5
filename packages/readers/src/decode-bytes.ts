/** UTF-8 where the bytes are valid UTF-8, otherwise ISO 8859-1 (the default of ISO/IEC 18004). */
export function decodeBytes(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    return Array.from(bytes, (byte) => String.fromCharCode(byte)).join('');
  }
}
