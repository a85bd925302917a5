/**
 * What opening a link as a student showed. Collected by the server (which follows redirects and reads the
 * page), judged here. JSON throughout, so that it can be stored and judged again by later rules.
 */
export interface Evidence {
  /** The link that was opened. */
  readonly asked: string;
  /** Every request in order; the last one is where it ended. */
  readonly hops: readonly Hop[];
  readonly ending: Ending;
  /** What came at the end; null when nothing did. */
  readonly final: FinalPage | null;
  /** From the first request to the end, in milliseconds. */
  readonly elapsedMs: number;
}

export interface Hop {
  readonly address: string;
  /** HTTP status (RFC 9110); null when no answer came. */
  readonly status: number | null;
  readonly elapsedMs: number;
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
export const endings = ['answered', ...failedEndings] as const;
/** How the opening ended. `guarded-address`: an address that the guard does not let the server reach. */
export type Ending = (typeof endings)[number];

export interface FinalPage {
  readonly address: string;
  readonly status: number;
  /** Media type without parameters, in lower case; '' when none was sent. */
  readonly contentType: string;
  /** Bytes read; less than the whole when `cut`. */
  readonly sizeBytes: number;
  readonly cut: boolean;
  /** Null for what is not HTML. */
  readonly page: PageFacts | null;
}

export interface PageFacts {
  readonly title: string;
  /** The first lines that a person would see, at most five, each at most 200 characters. */
  readonly firstLines: readonly string[];
  /** Characters that a person would see on the whole page. */
  readonly visibleCharacters: number;
  readonly forms: readonly FormFacts[];
  readonly scripts: number;
  /** Pictures, sounds and films that need no script; absent in evidence from before they were counted. */
  readonly media?: number;
  /** Where a meta refresh would lead within ten seconds; null without one. */
  readonly refreshTo: string | null;
}

export interface FormFacts {
  readonly action: string;
  readonly method: 'get' | 'post';
  /** Types of its visible fields: text, email, password ... */
  readonly fields: readonly string[];
  readonly buttons: readonly string[];
}
