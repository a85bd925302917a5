/** Letters whose stroke or missing dot is no mark of its own, so that decomposing leaves it. */
const plainLetters: Readonly<Record<string, string>> = { đ: 'd', ı: 'i', ł: 'l', ø: 'o', ß: 'ss', æ: 'ae' };

/** In lower case and without accents, so that "Élève" and "ELEVE" are the same word. */
export function folded(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{Mn}/gu, '')
    .replace(/[đıłøßæ]/gu, (letter) => plainLetters[letter] ?? letter)
    .normalize('NFC');
}
