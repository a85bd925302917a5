/**
 * What Hapset knows about a service, as data: which addresses it has and for whom, what its walls
 * look like, and the steps that fix sharing there. No service appears in code; everything works without any
 * description too. docs/service-description.schema.json says the same in JSON Schema.
 */
import type { LinkKind } from '../material/material-kinds.js';
import type { AccessVerdict } from './access-verdict.js';

/** What people who know a service say of it; docs/services.md. */
export interface ServiceDescription {
  /** Lower case letters, digits and hyphens. */
  readonly id: string;
  /** As people call it: "Cofferlane". */
  readonly name: string;
  /** Host names; `*.example.org` covers every name below. The port is ignored. */
  readonly hosts: readonly string[];
  /** In their order: the first that fits an address tells its part and kind. */
  readonly addresses: readonly AddressDescription[];
  /** In their order: the first that fits counts. */
  readonly walls: readonly WallDescription[];
  readonly fixes: readonly FixDescription[];
  /** Words on a page that opens, which tell what its visitors may do there. */
  readonly rights?: readonly RightDescription[];
  /** Names of parameters that only count visitors there, beside the general ones; `*` stands for any ending or beginning. */
  readonly tracking?: readonly string[];
  /** Hosts of short links that the school runs itself: nobody strange stands between. */
  readonly shorteners?: readonly string[];
}

/** Whose page an address is. Only `student` is meant for a code. */
export const addressRoles = ['student', 'editor', 'preview', 'answers', 'copy'] as const;
/** For whom an address of a service is. */
export type AddressRole = (typeof addressRoles)[number];

/** Either `path` or `pattern` is given. */
export interface AddressDescription {
  readonly role: AddressRole;
  readonly kind: LinkKind;
  /** Literal parts, `{name}` or `*` for one part, `**` for the rest: "/leaf/{leaf}/change". */
  readonly path?: string;
  /** RE2 expression looked for in path and query; its named groups fill `studentLink`. */
  readonly pattern?: string;
  /** Path and query of the student's address on the same host, with the named parts: "/leaf/{leaf}". */
  readonly studentLink?: string;
  /** How its owner gets the student's link by hand, where it can't be worked out. */
  readonly steps?: readonly string[];
}

/** Verdicts that a wall can mean. */
export const wallVerdicts = [
  'sign-in',
  'organisation',
  'named-only',
  'closed',
  'missing',
  'obstructed',
] as const satisfies readonly AccessVerdict[];
/** A verdict that a wall may give. */
export type WallVerdict = (typeof wallVerdicts)[number];

/** Rights that a description may tell. `look` alone says that the page opened: no wall shows those words. */
export const describedRights = ['look', 'comment', 'change', 'download', 'answer'] as const;

/** How a right is seen on a page. */
export interface RightDescription {
  readonly can: (typeof describedRights)[number];
  /** One of them is in title, first lines or on a button, compared without case. */
  readonly words: readonly string[];
}

/** A page that stands where the material should be. All given marks must be met. */
export interface WallDescription {
  readonly verdict: WallVerdict;
  /** Host of the final page, when the wall is another service's sign-in. */
  readonly host?: string;
  /** Words that the page's title or first lines contain, compared without case. */
  readonly words?: readonly string[];
  /** RE2 expression looked for in title and first lines. */
  readonly pattern?: string;
}

/** Steps for some verdicts. */
export interface FixDescription {
  readonly verdicts: readonly AccessVerdict[];
  /** In order, each one thing to do; `**words**` are what is on the service's page. */
  readonly steps: readonly string[];
  /** Where its owner does that: `{link}` is the address without query. */
  readonly ownerPage?: string;
}
