import type { AccessVerdict, Doubt, Ending, Finding, Hop, InsideItem, Rights, ViewStop } from '@hapset/core';

/** How far the opening of a link is. */
export const accessCheckStates = ['waiting', 'opening', 'done', 'stopped'] as const;
/** waiting -> opening -> done; stopped from either of the first two. */
export type AccessCheckState = (typeof accessCheckStates)[number];

/** How far seeing the page in a browser is; none is asked for what is no page and for what is certain without one. */
export const studentViewStates = ['waiting', 'drawing', 'seen', 'failed', 'no-browser'] as const;
/** waiting -> drawing -> seen or failed. `no-browser`: this server has none. */
export type StudentViewState = (typeof studentViewStates)[number];

/** What a student sees, as a browser shows it. */
export interface StudentViewView {
  readonly state: StudentViewState;
  /** True when `GET /api/access-checks/:accessCheckId/student-view` has a picture of it. */
  readonly hasPicture: boolean;
  /** Until more than a skeleton was there, in milliseconds; null where nothing appeared, or where that is not known. */
  readonly contentAfterMs: number | null;
  readonly stoppedBy: ViewStop | null;
  /** Whether a layer covers the page. */
  readonly isCovered: boolean;
  /** What a browser shows and its source does not: title and first lines of the source; null where they are alike. */
  readonly withoutScripts: { readonly title: string; readonly firstLines: readonly string[] } | null;
}

/** Steps that fix what was found, at the service where it is looked after. */
export interface RemedyView {
  readonly service: string | null;
  readonly steps: readonly string[];
  /** False for general advice: nobody knows whether it helps there. */
  readonly known: boolean;
  readonly ownerPage: string | null;
}

/** One opening of a link as a student, with what it showed. */
export interface AccessCheckView {
  readonly id: string;
  readonly state: AccessCheckState;
  /** When it was asked for, RFC 3339 in UTC. */
  readonly askedAt: string;
  readonly finishedAt: string | null;
  /** The following are null or empty until it is done. */
  readonly verdict: AccessVerdict | null;
  /** Why, the first to be told first. */
  readonly reasons: readonly Finding[];
  /** What a student could do there; null where nothing opened. */
  readonly rights: Rights | null;
  /** Perhaps it is not what was meant. */
  readonly doubts: readonly Doubt[];
  readonly title: string | null;
  readonly firstLines: readonly string[];
  /** A short page that says nothing of what the teacher saw when it was added; null where there is no such doubt. */
  readonly notAsSeen: { readonly saw: string; readonly got: string } | null;
  /** What a student sees in a browser; null where none was asked. */
  readonly studentView: StudentViewView | null;
  /** True when `GET /api/access-checks/:accessCheckId/picture` has the page's own picture, made small. */
  readonly hasPicture: boolean;
  readonly ending: Ending | null;
  readonly finalAddress: string | null;
  readonly contentType: string | null;
  readonly sizeBytes: number | null;
  readonly hops: readonly Hop[];
  /** What was opened inside of a folder or written page: how many, and those that do not open. Null where nothing was. */
  readonly inside: { readonly opened: number; readonly left: number; readonly locked: readonly InsideItem[] } | null;
  readonly remedy: RemedyView | null;
  /** The link without what only counts visitors; given only when both were opened and led to the same page. */
  readonly trimmed: { readonly link: string; readonly removed: readonly string[] } | null;
  /** Hosts on the way that are the school's own short links. */
  readonly ownShorteners: readonly string[];
}

/** A person says whether it opens, after trying it. */
export interface AnswerOpens {
  readonly opens: boolean;
}

/** What a person said after trying it. */
export interface PersonAnswerView {
  readonly opens: boolean;
  /** Name of the person at that time. */
  readonly by: string;
  /** RFC 3339 in UTC. */
  readonly at: string;
}

/** One opening of the past. */
export interface EarlierCheck {
  readonly id: string;
  readonly link: string;
  readonly finishedAt: string;
  readonly verdict: AccessVerdict;
  readonly reasons: readonly Finding[];
  /** Whether the picture of what students saw then is still there. */
  readonly hasView: boolean;
}

/** Opens any link as a student, for scripts and tests. */
export interface AskLinkCheck {
  readonly link: string;
}

/** A check that waits, by its id. */
export interface LinkCheckAsked {
  readonly id: string;
}

/** A link by itself, opened as a student: for scripts and visitors. */
export interface LinkCheckView {
  readonly id: string;
  readonly link: string;
  readonly state: AccessCheckState;
  /** The following are null or empty until the state is `done`. */
  readonly verdict: AccessVerdict | null;
  readonly reasons: readonly Finding[];
  readonly rights: Rights | null;
  readonly doubts: readonly Doubt[];
  readonly evidence: LinkCheckEvidence | null;
}

/** What opening it showed. */
export interface LinkCheckEvidence {
  readonly ending: Ending;
  readonly hops: readonly Hop[];
  readonly finalAddress: string | null;
  readonly status: number | null;
  readonly contentType: string | null;
  readonly sizeBytes: number | null;
  readonly title: string | null;
  readonly firstLines: readonly string[];
  readonly elapsedMs: number;
  readonly inside: readonly InsideItem[];
}

/** What `/api/events` tells (server-sent events, one JSON each). */
export type LiveEvent =
  | { readonly type: 'check'; readonly materialId: string; readonly state: AccessCheckState }
  | { readonly type: 'tryout'; readonly materialId: string };
