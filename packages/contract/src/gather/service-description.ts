import type {
  AccessVerdict,
  AddressRole,
  DescriptionProblem,
  Finding,
  LinkKind,
  ServiceDescription,
} from '@hapset/core';

/** A service that the school has described, or whose description came with the installation. */
export interface ServiceView {
  readonly id: string;
  readonly name: string;
  /** `installed` descriptions come with the server and can be replaced by the school's own of the same id. */
  readonly origin: 'installed' | 'school';
  /** True where removing the school's own restores an installed one. */
  readonly replacesInstalled: boolean;
  /** As it was written; trust its shape only where `problems` is empty. */
  readonly description: ServiceDescription;
  /** Why it is left out; none while it is in use. */
  readonly problems: readonly DescriptionProblem[];
  /** Null for an installed one. */
  readonly version: number | null;
}

/** A description, under the version that was seen; null for a new one. */
export interface KeepService {
  readonly description: ServiceDescription;
  /** The version that was read; null for one that is new or replaces an installed one. */
  readonly version: number | null;
}

/** A link to try a description on, before it is kept. */
export interface TryService {
  readonly description: ServiceDescription;
  readonly link: string;
}

/** What the description says about the link, and what opening it as a student showed. */
export interface ServiceTryoutView {
  readonly belongs: boolean;
  readonly role: AddressRole | null;
  readonly kind: LinkKind;
  readonly studentLink: string | null;
  /** Names of parameters that would be tried without. */
  readonly tracking: readonly string[];
  readonly verdict: AccessVerdict;
  readonly reasons: readonly Finding[];
  readonly title: string | null;
  readonly finalAddress: string | null;
  readonly steps: readonly string[];
}
