/** `office` imports, exports and erases whole rosters; teachers see the classes that the school gives them. */
export const roles = ['teacher', 'office', 'administrator'] as const;
/** What somebody may do. */
export type Role = (typeof roles)[number];

/** E-mail address and password; `keep` for thirty days instead of the browser's session. */
export interface SignIn {
  readonly email: string;
  readonly password: string;
  /** Stay signed in on this device for 30 days; otherwise a session ends after 12 hours without use. */
  readonly keep?: boolean;
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
  /** False until the first administrator was created at the server. */
  readonly hasAccounts: boolean;
  /** The demo's account, only on a server that was started with the demo data. */
  readonly demo: { readonly email: string; readonly password: string } | null;
}
