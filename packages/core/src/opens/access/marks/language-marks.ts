/** The words of one language by which walls are told. Lower case, straight apostrophes; each is looked for as it stands. */
export interface LanguageMarks {
  /** A page that offers to ask its owner. */
  readonly askForAccess: readonly string[];
  /** Private, without an offer to ask. */
  readonly isPrivate: readonly string[];
  /** For members of one organisation. */
  readonly organisation: readonly string[];
  /** Tells to sign in before anything is shown. */
  readonly signIn: readonly string[];
  /** On a sign-in's title, heading or button, beside a field for a password or on the way from another address. */
  readonly signInTitle: readonly string[];
  /** The same, where it can't mean to register for something. */
  readonly signInSurely: readonly string[];
  readonly closed: readonly string[];
  readonly expired: readonly string[];
  readonly notYet: readonly string[];
  readonly overLimit: readonly string[];
  /** Names what is missing: a page, a file, a video. */
  readonly missing: readonly string[];
  /** May be said of anything, so that it counts only where hardly anything else is said. */
  readonly missingLoosely: readonly string[];
  /** Headings of a page on cookies or data that comes before everything. */
  readonly consent: readonly string[];
  readonly consentButton: readonly string[];
  readonly age: readonly string[];
  readonly robots: readonly string[];
  /** Buttons that keep what a visitor wrote into the page. */
  readonly keepButton: readonly string[];
  readonly commentButton: readonly string[];
  readonly downloadButton: readonly string[];
  /** A form that takes one answer from each. */
  readonly answerOnce: readonly string[];
}
