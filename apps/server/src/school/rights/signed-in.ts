import type { Role } from '@hapset/contract';

/** Who is signed in. */
export interface SignedIn {
  readonly id: string;
  /** In lower case. */
  readonly email: string;
  readonly name: string;
  readonly role: Role;
}
