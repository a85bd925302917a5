/**
 * What Hapset knows about a service, as data: whose addresses are whose, what its walls look like, and
 * the steps that mend sharing there. No service appears in code; a check works without any description too.
 */
import type { LinkKind } from '../intake/material-kinds.js';
import type { AccessVerdict } from '../access/judgement.js';

export interface ServiceDescription {
  readonly id: string;
  /** As people call it: "Cofferlane". */
  readonly name: string;
  /** Host names; `*.example.org` covers every name below. The port is ignored. */
  readonly hosts: readonly string[];
  readonly addresses: readonly AddressDescription[];
  readonly walls: readonly WallDescription[];
  readonly mending: readonly MendingDescription[];
}

export interface AddressDescription {
  /** Path pattern: literal parts, `*` for one part, `**` for the rest. */
  readonly path: string;
  readonly kind: LinkKind;
}

/** A page that stands where the material should be. All given marks must be met. */
export interface WallDescription {
  readonly verdict: 'sign-in' | 'named-only' | 'closed' | 'missing';
  /** Host of the final page, when the wall is another service's sign-in. */
  readonly host?: string;
  /** Words that the page's title or first lines contain, compared without case. */
  readonly words?: readonly string[];
}

export interface MendingDescription {
  readonly verdicts: readonly AccessVerdict[];
  /** In order, each one thing to do; `**words**` are what stands on the service's page. */
  readonly steps: readonly string[];
  /** Where its owner does that: `{link}` is the address without query. */
  readonly ownerPage?: string;
}
