/** Digits with an optional leading `+`; null where that is not a phone number. */
export function plainNumber(number: string): string | null {
  const plain = number
    .normalize('NFKC')
    .replace(/\(0\)/, '')
    .replace(/[\s().\-/‐–]/g, '')
    .replace(/^00(?=[1-9]\d{6})/, '+');
  return /^\+?\d{2,15}$/.test(plain) ? plain : null;
}
