/** Which language a student's page is in: the one that was chosen at its foot, or else the phone's. */
import type { IncomingHttpHeaders } from 'node:http';
import { languageOf, preferredLanguage, type Language } from '@hapset/student-texts';
import Negotiator from 'negotiator';

/** What of a request says so. */
export interface Asking {
  readonly url?: string;
  readonly headers: IncomingHttpHeaders;
}

export interface AskedLanguage extends Language {
  /** By the choice at the foot: links on the page keep it. */
  readonly chosen: boolean;
}

/** Nobody's browser sends more. */
const longestHeader = 500;

/** What was chosen at the foot of a page: `?lang=uk`. */
export function chosenLanguage(url: string): Language | null {
  return languageOf(/[?&]lang=([a-z]{2,3})(?:&|$)/i.exec(url)?.[1] ?? '');
}

/** @param school language of the school, for phones that ask for none that there are texts in */
export function askedLanguage({ url = '', headers }: Asking, school = 'en'): AskedLanguage {
  const chosen = chosenLanguage(url);
  if (chosen) return { ...chosen, chosen: true };
  const wanted = headers['accept-language']?.slice(0, longestHeader);
  const tags = wanted === undefined ? [] : new Negotiator({ headers: { 'accept-language': wanted } }).languages();
  return { ...preferredLanguage(tags, school), chosen: false };
}
