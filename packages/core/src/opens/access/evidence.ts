/**
 * What opening a link as a student showed. Collected by the server (which follows redirects and reads the
 * page), judged here. JSON throughout, so that it can be stored and judged again by later rules.
 */
import type { KeptFacts } from '../../gather/kept/file-facts.js';
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';

/** What opening a link as a student showed; all that verdicts are made of. */
export interface Evidence {
  /** The link that was opened. */
  readonly asked: string;
  /** Every request in order; the last one is where it ended. */
  readonly hops: readonly Hop[];
  readonly ending: Ending;
  /** What came at the end; null when nothing did. */
  readonly final: FinalPage | null;
  /** From the first request to the end, in milliseconds; waiting that a server asked for does not count. */
  readonly elapsedMs: number;
  /** What was opened inside: the items of a folder, the links of a written page. Absent where nothing was looked into. */
  readonly inside?: readonly InsideItem[];
  /** What is known of it, where the school's own server keeps it: nothing was asked by HTTP then. */
  readonly kept?: KeptFacts;
  /** Items that were not opened since there were more than the limit; absent for none. */
  readonly insideLeft?: number;
  /** First words that the teacher saw there when it was added; absent where that is not known. */
  readonly teacherSaw?: string;
  /** How a browser drew it; `final` is what it showed then. Absent where none did. */
  readonly drawn?: DrawnFacts;
}

/** Why a browser stopped before the page had settled. */
export const viewStops = ['time', 'bytes', 'requests', 'page-changes'] as const;
/** One of them. */
export type ViewStop = (typeof viewStops)[number];

/** What only a browser can tell of a page. */
export interface DrawnFacts {
  /** Until more than a skeleton was there, in milliseconds; null where nothing appeared. */
  readonly contentAfterMs: number | null;
  readonly stoppedBy: ViewStop | null;
  readonly requests: number;
  readonly failedRequests: number;
  /** Files that the page wanted to save by itself. */
  readonly downloads: number;
  /** Share of the first screen that a layer over the page covers, 0 to 1; 0 without one. */
  readonly layerShare: number;
  readonly headings: readonly string[];
  /** What came without a browser, where it was a page. */
  readonly plain: Pick<PageFacts, 'title' | 'firstLines' | 'visibleCharacters'> | null;
}

/** Something that a folder or page holds, opened like the thing itself. */
export interface InsideItem {
  readonly name: string;
  readonly address: string;
  readonly verdict: AccessVerdict;
  /** 1 for what the thing holds itself, 2 for what a folder in it holds. */
  readonly depth: number;
}

/** One request on the way. Milliseconds. */
export interface Hop {
  readonly address: string;
  /** HTTP status (RFC 9110); null when no answer came. */
  readonly status: number | null;
  readonly elapsedMs: number;
  /** True where it was reached without encryption, on a host that the configuration does not trust. */
  readonly plain?: boolean;
}

/** Ways in which no answer came at the end. */
export const failedEndings = [
  'too-many-redirects',
  'took-too-long',
  'name-not-found',
  'not-reached',
  'broken-answer',
  'bad-certificate',
  'not-a-web-address',
  'guarded-address',
] as const;
/** How opening a link may end. */
export const endings = ['answered', ...failedEndings] as const;
/** How the opening ended. `guarded-address`: an address that the guard does not let the server reach. */
export type Ending = (typeof endings)[number];

/** Where it ended, and what was there. */
export interface FinalPage {
  readonly address: string;
  readonly status: number;
  /** Media type without parameters, in lower case; '' when none was sent. */
  readonly contentType: string;
  /** Bytes read; less than the whole when `cut`. */
  readonly sizeBytes: number;
  readonly cut: boolean;
  /** True where the server wants it saved instead of shown (Content-Disposition, RFC 6266). */
  readonly attachment?: boolean;
  /** Null for what is not HTML. */
  readonly page: PageFacts | null;
}

/** What of a page the rules look at. */
export interface PageFacts {
  readonly title: string;
  /** Address of the picture that the page offers for previews; null without one. */
  readonly picture?: string | null;
  /** The first lines that a person would see, those of menus left out, at most twelve, each at most 200 characters. */
  readonly firstLines: readonly string[];
  /** Characters that a person would see on the whole page, those of menus left out. */
  readonly visibleCharacters: number;
  /** Of those, outside of dialogs and asides: what can be the material. Absent in evidence from before it was counted. */
  readonly contentCharacters?: number;
  /** SimHash of the visible text (page-fingerprint.ts); absent in evidence from before it was made. */
  readonly textHash?: string;
  readonly forms: readonly FormFacts[];
  readonly scripts: number;
  /** Pictures, sounds and films that need no script; absent in evidence from before they were counted. */
  readonly media?: number;
  /** Sounds and films that name what they play; absent in evidence from before they were counted. */
  readonly players?: number;
  /** Where a meta refresh would lead within ten seconds; null without one. */
  readonly refreshTo: string | null;
  /** Where a form without any visible field would post itself to; null without one. */
  readonly postsItselfTo?: string | null;
  /** Buttons outside of forms. */
  readonly buttons?: readonly string[];
  /** Characters in places where a visitor could write into the page itself. */
  readonly editableCharacters?: number;
}

/** What of a form the rules look at. */
export interface FormFacts {
  readonly action: string;
  readonly method: 'get' | 'post';
  /** Types of its visible fields: text, email, password ... */
  readonly fields: readonly string[];
  readonly buttons: readonly string[];
  /** Characters that its writing fields hold already. */
  readonly filledCharacters?: number;
}
