/** What a ZIP archive unpacks to, as its own directory says (APPNOTE 4.3.12): asked before anything is unpacked. */
const endMark = 0x06054b50;
const entryMark = 0x02014b50;
const endLength = 22;
const longestComment = 65_535;

/** @throws Error for what is no archive */
export function unpackedBytes(bytes: Uint8Array): number {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let end = bytes.length - endLength;
  while (end >= 0 && end >= bytes.length - endLength - longestComment && view.getUint32(end, true) !== endMark)
    end -= 1;
  if (end < 0 || view.getUint32(end, true) !== endMark) throw new Error('no archive');
  const entries = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  let sum = 0;
  for (let entry = 0; entry < entries; entry += 1) {
    if (view.getUint32(at, true) !== entryMark) throw new Error('no archive');
    const [packed, unpacked] = [view.getUint32(at + 20, true), view.getUint32(at + 24, true)];
    // A size that the directory leaves out, or that no table reaches, is too much.
    if (unpacked === 0xffffffff) return Infinity;
    // Overlapping entries unpack the same bytes again and again.
    sum += Math.max(unpacked, packed);
    at += 46 + view.getUint16(at + 28, true) + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return sum;
}
