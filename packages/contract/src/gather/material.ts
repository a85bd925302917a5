import type {
  AddressCarry,
  AddressRole,
  Kept,
  Content,
  ErrorCorrectionLevel,
  LinkKind,
  MaterialKind,
  Repair,
} from '@hapset/core';

/** One thing to add: a link as repaired, words, the fields of a kind, or what is kept here. Exactly one of the four is given. */
export interface NewMaterial {
  readonly link?: string;
  readonly words?: string;
  readonly content?: Content;
  readonly kept?: Kept;
  /** What was pasted, before any repair. */
  readonly pasted: string;
  readonly repairs: readonly Repair[];
  /** Given where the teacher chose another kind of link than was recognised. */
  readonly kind?: LinkKind;
  /** Given where the teacher named it; otherwise the page's own title is used. */
  readonly title?: string;
  /** First words of the page that the teacher saw there: what students get is compared with them. */
  readonly teacherSaw?: string;
  /** What students should do; a sentence that fits the kind otherwise. */
  readonly instruction?: string;
  /** Collections it belongs to. */
  readonly tags?: readonly string[];
}

/** Materials for the shelf, in their order. */
export interface CreateMaterials {
  readonly items: readonly NewMaterial[];
}

/** Fields without a value stay as they are. */
export interface ChangeMaterial {
  readonly version: number;
  readonly title?: string;
  readonly kind?: MaterialKind;
  readonly link?: string;
  readonly words?: string;
  readonly content?: Content;
  readonly kept?: Kept;
  /** Last day in the school's zone on which students see what is kept here, `YYYY-MM-DD`; null without end. */
  readonly shownUntil?: string | null;
  readonly instruction?: string;
  readonly tags?: readonly string[];
  /** What of the address the code carries; `trimmed` needs a check that proved it. */
  readonly carry?: AddressCarry;
  /** Null for the highest that costs nothing. */
  readonly level?: ErrorCorrectionLevel | null;
  /** Null for what lesson or school say. */
  readonly look?: LookChoice;
  /** Side of the printed symbol outside lessons, millimetres; null to have it computed. */
  readonly sizeMm?: number | null;
}

/** A link in the light of its service's description. */
export interface DescribedLink {
  /** Name of the service. */
  readonly service: string;
  /** Whose page it is; null where the description does not know the path. */
  readonly role: AddressRole | null;
  /** The student's link, where this one is not and it can be worked out. */
  readonly studentLink: string | null;
  /** How to get the student's link by hand. */
  readonly steps: readonly string[];
}

/** What is known of a material without its answers. */
export interface MaterialView {
  readonly id: string;
  readonly kind: MaterialKind;
  readonly title: string;
  readonly link: string | null;
  readonly words: string | null;
  readonly content: Content | null;
  readonly pasted: string;
  readonly repairs: readonly Repair[];
  readonly carry: AddressCarry;
  /** Chosen by hand; null for the highest that costs nothing. */
  readonly level: ErrorCorrectionLevel | null;
  /** Of its own; null for what lesson or school say. */
  readonly look: LookChoice;
  /** Address of its page, where the school's own server keeps it. */
  readonly pageAddress: string | null;
  readonly shownUntil: string | null;
  /** What the service's description says of the link; null for a stranger's or for words. */
  readonly at: DescribedLink | null;
  readonly instruction: string;
  readonly tags: readonly string[];
  readonly createdAt: string;
  readonly version: number;
}

/** A tag is a collection: it can be opened and checked as one. */
export interface TagView {
  readonly tag: string;
  readonly materials: number;
}

/** Materials that were made, in the order in which they were sent. */
export interface CreatedMaterials {
  readonly materialIds: readonly string[];
}

/** What stands for black squares on white, where a look is chosen. */
export const plainLookChoice = 'plain';

/** A look's id or `plain`. */
export const lookChoicePattern = new RegExp(`^(?:${plainLookChoice}|[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})$`);

/** Id of one of the school's looks, `plain`, or null for what lesson or school say. */
export type LookChoice = string | null;

/** Links that may be on the shelf already. */
export interface MatchShelf {
  readonly links: readonly string[];
}

/** A link that is on the shelf already, and as what. */
export interface ShelfMatch {
  readonly link: string;
  readonly materialId: string;
  readonly title: string;
}

/** Several materials at once. */
export interface MaterialsRequest {
  readonly materialIds: readonly string[];
}

/** A tag for several materials, or taken from them. */
export interface TagMaterials extends MaterialsRequest {
  readonly tag: string;
  readonly tagged: boolean;
}

/** Those that were changed: the others were so before. */
export interface ChangedMaterials {
  readonly materialIds: readonly string[];
}

/** What was removed, and what a lesson still shows. */
export interface RemovedMaterials extends ChangedMaterials {
  readonly used: readonly { readonly materialId: string; readonly title: string }[];
}
