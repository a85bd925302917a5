import type { AccessVerdict, Ending, Hop, VerdictReason } from '@hapset/core';

export const accessCheckStates = ['waiting', 'opening', 'done', 'stopped'] as const;
/** waiting -> opening -> done; stopped from either of the first two. */
export type AccessCheckState = (typeof accessCheckStates)[number];

export interface MendingView {
  readonly service: string | null;
  readonly steps: readonly string[];
  readonly ownerPage: string | null;
}

export interface AccessCheckView {
  readonly id: string;
  readonly state: AccessCheckState;
  /** When it was asked for, RFC 3339 in UTC. */
  readonly askedAt: string;
  readonly finishedAt: string | null;
  /** The following are null until it is done. */
  readonly verdict: AccessVerdict | null;
  readonly reason: VerdictReason | null;
  readonly detail: string | null;
  readonly title: string | null;
  readonly firstLines: readonly string[];
  readonly ending: Ending | null;
  readonly finalAddress: string | null;
  readonly contentType: string | null;
  readonly sizeBytes: number | null;
  readonly hops: readonly Hop[];
  readonly mending: MendingView | null;
  /** The link without what only counts visitors; given only when both were opened and led to the same page. */
  readonly trimmed: { readonly link: string; readonly removed: readonly string[] } | null;
  /** Hosts on the way that are the school's own short links. */
  readonly ownShorteners: readonly string[];
}
