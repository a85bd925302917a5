/** The things that the services keep. */

/** Who may open a thing: everybody, members of the school, or the people chosen. */
export type Door = 'open' | 'school' | 'chosen';

export interface Kept {
  title: string;
  owner: string;
  door: Door;
  chosen: string[];
  /** Last day on which the link leads to it, `YYYY-MM-DD`; null without end. */
  until: string | null;
  /** The owner's own words at a shut door, in any language; the service's where there are none. */
  note?: string;
}
export interface Leaf extends Kept {
  paragraphs: string[];
  mayChange: boolean;
}
/** An item has a door of its own, beside its crate's. */
export interface CrateItem {
  name: string;
  about: string;
  door: Door;
}
export interface Crate extends Kept {
  items: CrateItem[];
  mayChange: boolean;
}
export interface Ask extends Kept {
  about: string;
  questions: string[];
  taking: boolean;
  answers: number;
  /** So many answers and no more; null without limit. */
  limit: number | null;
  /** Each gives one answer. */
  once: boolean;
}
/** Who sees a reel: everybody who looks around, whoever has its link, nobody. */
export type Showing = 'public' | 'by-link' | 'dark';
/** What comes before it. */
export type Before = 'nothing' | 'candles' | 'crumbs';
export interface Reel {
  title: string;
  owner: string;
  about: string;
  showing: Showing;
  before: Before;
  /** May other pages show it in a frame? */
  embedding: boolean;
  /** The owner's own words while it is dark. */
  note?: string;
}
export interface Tone extends Kept {
  about: string;
  /** Pitch of the sound that is played, hertz. */
  hertz: number;
  /** Offered to be saved as well. */
  mayTake: boolean;
}
export interface Contents {
  leaves: Record<string, Leaf>;
  crates: Record<string, Crate>;
  asks: Record<string, Ask>;
  reels: Record<string, Reel>;
  tones: Record<string, Tone>;
  /** Short names and where they lead. */
  nips: Record<string, string>;
}
