/** What is between and around the addresses of a pasted text: marks of a list, a label, a sentence, or nothing that counts. */

/** A stretch of text beside an address. */
export interface Beside {
  /** Words that name it; null where there are none, or where they name nothing ("Link:"). */
  readonly label: string | null;
  /** How little it looks like a label: 0 for nothing or a label that is set apart, up to 4 for a sentence. */
  readonly cost: number;
  /** True for a remark in brackets: "(PDF)". */
  readonly isAside?: boolean;
}

const nothing: Beside = { label: null, cost: 0 };
/** What a list puts in front of an item. */
const listMark =
  /^(?:[>\s]|[-+*\u2010-\u2015\u2022\u2023\u2043\u25a0-\u25ff\u2610-\u2612\u2713-\u2718\u00b7\u2219](?=\s)|[\u2022\u2023\u25a0-\u25ff\u2610-\u2612\u2713-\u2718\u00b7]|#{1,6}(?=\s)|\[[ xX]?\](?=\s)|\(?(?:\d{1,3}|[a-zA-Z])[.)](?=\s|$)|\(\d{1,3}\)|\[\d{1,3}\](?=[\s:])|\d\u20e3|#?\d{1,3}(?=\s*$|\t)|(?:[-=]+>|[\u2190-\u21ff\u2794-\u27be])|\p{Extended_Pictographic}\p{M}*)/u;
const separatorBehind =
  /(?:[:\uff1a|=\t\n,;]|\s[-\u2010-\u2015~]|[-=]+>|[\u2190-\u21ff\u2794-\u27be]|["“”„«»‹›「『<(\uff08[])[\s*_~`"“”„«»‹›「」『』()\uff08\uff09[\]{}<>'‘’]*$/u;
const separatorBefore =
  /^[\s*_~`"“”»›」』)\uff09\]}>'’]*(?:[:\uff1a|=\t\n,;]|[-\u2010-\u2015~](?=\s)|[-=]+>|[\u2190-\u21ff\u2794-\u27be]|[(\uff08[{])/u;
const around =
  /^[\s,;:|=~*_`"“”„«»‹›「」『』()\uff08\uff09[\]{}<>'‘’\uff1a\u2010-\u2015\u2190-\u21ff-]+|[\s,;:|=~*_`"“”„«»‹›「」『』()\uff08\uff09[\]{}<>'‘’\uff1a\u2010-\u2015\u2190-\u21ff-]+$/gu;
/** Names of nothing in particular, in the languages of the first schools. */
const namesNothing =
  /^(?:the |der |le |el )?(?:link|url|web ?site|web ?page|web|address|click here|here|open|source|e-?mail|mail|contact|to|phone|tel|telephone|call|mobile|lien|site|adresse|hier|webseite|telefon|enlace|sitio|tel[eé]fono|t[eé]l[eé]phone|链接|网址|リンク)\.?$/iu;
/** Words that join two addresses, or an address to a sentence. */
const joins = /^(?:and|or|either|both|then|plus|und|oder|sowie|et|ou|puis|y|o|e|luego)$/iu;
const callsIt = /(?:phone|tel|telephone|call|mobile|ring|telefon|anruf|tel[eé]fono|t[eé]l[eé]phone)\W*$/iu;
const chatStamp = /^\[\d{1,2}[:.]\d{2}[^\]]{0,24}\]\s*/;

/** True where the text says that a phone number follows: "Tel.", "call". */
export function announcesNumber(before: string): boolean {
  return callsIt.test(before);
}

/** Text in front of an address. */
export function besideBefore(text: string): Beside {
  const { rest, marked } = withoutListMarks(text.replace(chatStamp, ''));
  if (!/[\p{L}\p{N}]/u.test(rest)) return nothing;
  const words = wordsIn(rest);
  const apart = separatorBehind.test(rest);
  const label = labelOf(rest);
  if (/\t\s*$/.test(rest)) return { label, cost: 0 };
  if (label !== null && joins.test(label)) return { label: null, cost: 3 };
  if (words > 12) return { label, cost: 4 };
  if (apart || namesNothing.test(rest.trim())) return { label, cost: 0 };
  if (/[\u3000-\u9fff]$/u.test(rest) || marked) return { label, cost: 0.5 };
  return { label, cost: words <= 6 && !/[.;:](?:\s|$)|[?!](?=\s*\p{L})/u.test(rest.trim()) ? 0.5 : 3 };
}

/** Text behind an address. */
export function besideAfter(text: string): Beside {
  const rest = text.replace(/^[.,;:!?…\s]*$/u, '');
  if (!/[\p{L}\p{N}]/u.test(rest)) return nothing;
  const words = wordsIn(rest);
  const apart = separatorBefore.test(rest);
  const label = labelOf(rest);
  if (/^\s*\t/.test(rest)) return { label, cost: 0 };
  if (label !== null && joins.test(label)) return { label: null, cost: 3 };
  if (words > 12) return { label, cost: 4 };
  if (apart) return { label, cost: 0, isAside: /^\s*[(\uff08][^()\uff08\uff09]*[)\uff09][^\p{L}\p{N}]*$/u.test(text) };
  const plain = rest.replace(/^[^\p{L}\p{N}]+/u, '').trim();
  const isName = /^(?:\p{Lu}|\p{Lo}|\p{N})/u.test(plain) && !/[:=]/.test(plain);
  return { label, cost: isName && words <= 8 && !/[.!?]$|[.!?]\s/u.test(plain) ? 0.5 : 3 };
}

/** Without bullets, numbers and check boxes in front. */
export function withoutListMarks(text: string): { readonly rest: string; readonly marked: boolean } {
  let rest = text;
  for (let mark = listMark.exec(rest); mark && mark[0] !== ''; mark = listMark.exec(rest))
    rest = rest.slice(mark[0].length);
  return { rest, marked: rest.trim().length < text.trim().length };
}

/** As many as a reader counts; scripts without blanks by four characters. */
function wordsIn(text: string): number {
  const spaced = text.split(/\s+/u).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
  const ideographs = text.match(/[\u3040-\u30ff\u3400-\u9fff]/gu)?.length ?? 0;
  return spaced + Math.floor(ideographs / 4);
}

function labelOf(text: string): string | null {
  const plain = text.replace(/\s+/gu, ' ').replace(around, '').trim().normalize('NFC');
  return plain === '' || namesNothing.test(plain) ? null : plain;
}
