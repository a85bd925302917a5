export const roles = ['teacher', 'administrator'] as const;
export type Role = (typeof roles)[number];

export interface SignIn {
  readonly email: string;
  readonly password: string;
}

/** Who is signed in. */
export interface SessionView {
  readonly accountId: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
}

/** What the sign-in page may know before anybody signed in. */
export interface WelcomeView {
  readonly schoolName: string;
  /** The demo's account, only on a server that was started with the demo data. */
  readonly demo: { readonly email: string; readonly password: string } | null;
}
