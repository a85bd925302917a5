import type { PaperFormat } from '@hapset/core';
import type { Role } from './account.js';

/** What a one-time link is for: the first administrator, a new colleague, a forgotten password. */
export const accountLinkKinds = ['setup', 'invitation', 'reset'] as const;
/** What a one-time link is for. */
export type AccountLinkKind = (typeof accountLinkKinds)[number];

/** A one-time link's token, as it is typed, or as it follows the `#` of the link. */
export interface AccountLinkToken {
  readonly token: string;
}

/** What a person with a one-time link can see before using it. */
export interface AccountLinkView {
  readonly kind: AccountLinkKind;
  readonly schoolName: string;
  /** What the new account may do; null for a forgotten password. */
  readonly role: Role | null;
  /** Whose password is set; null for a new account. */
  readonly email: string | null;
  /** ISO 8601. */
  readonly expiresAt: string;
}

/** Settings of a school that begins. */
export interface NewSchool {
  readonly name: string;
  /** BCP 47. */
  readonly language: string;
  /** IANA time zone. */
  readonly timeZone: string;
  readonly paper: PaperFormat;
}

/** A new account from an invitation, or the first account from the setup link, together with the school's settings. */
export interface CreateAccount extends AccountLinkToken {
  readonly name: string;
  readonly email: string;
  readonly password: string;
  /** Null with an invitation. */
  readonly school: NewSchool | null;
}

/** A new password by a reset link. */
export interface ResetPassword extends AccountLinkToken {
  readonly password: string;
}

/** Somebody who works here. */
export interface StaffMember {
  readonly accountId: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly active: boolean;
  /** ISO 8601; null before the first time. */
  readonly lastSignInAt: string | null;
  /** Lessons and materials that are theirs. */
  readonly lessons: number;
  readonly materials: number;
}

/** An invitation that nobody has used yet. */
export interface InvitationView {
  readonly id: string;
  readonly role: Role;
  /** For whom, as the administrator noted it. */
  readonly note: string;
  readonly madeAt: string;
  readonly expiresAt: string;
}

/** Who works here, and who is invited. */
export interface StaffView {
  readonly staff: readonly StaffMember[];
  readonly invitations: readonly InvitationView[];
}

/** For whom an invitation is, and what that person may do. */
export interface Invite {
  readonly role: Role;
  readonly note: string;
}

/** A one-time link that was made; its token is told this once. */
export interface AccountLinkMade {
  readonly id: string;
  readonly token: string;
  /** Whole address: "https://hapset.school.example/join#K7QM-…". */
  readonly address: string;
  readonly expiresAt: string;
}

/** A colleague's role, or whether the account may be used. */
export interface ChangeStaff {
  readonly role?: Role;
  readonly active?: boolean;
}

/** To whom lessons, materials and files go. */
export interface HandOver {
  readonly toAccountId: string;
}

/** How much went to the colleague. */
export interface HandedOver {
  readonly lessons: number;
  readonly materials: number;
  readonly files: number;
}

/** One's own account. */
export interface OwnAccount {
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly sessions: readonly OwnSession[];
}

/** A device on which one is signed in. */
export interface OwnSession {
  readonly id: string;
  /** "Firefox on Windows"; empty where the browser does not say. */
  readonly device: string;
  readonly begunAt: string;
  /** Within five minutes. */
  readonly usedAt: string;
  /** The one that asks. */
  readonly current: boolean;
  /** Stays signed in for 30 days. */
  readonly kept: boolean;
}

/** One's own name, as colleagues see it. */
export interface ChangeName {
  readonly name: string;
}

/** The address one signs in with. */
export interface ChangeEmail {
  readonly email: string;
}

/** Ends all other sessions. */
export interface SetPassword {
  readonly current: string;
  readonly password: string;
}

/** The password again, for what asks for it. */
export interface ConfirmPassword {
  readonly password: string;
}

/** Why a password is not taken: fields' details with `invalid`. */
export const passwordTroubles = ['too-short', 'too-long', 'common', 'personal'] as const;
/** Why a password is not taken. */
export type PasswordTrouble = (typeof passwordTroubles)[number];
