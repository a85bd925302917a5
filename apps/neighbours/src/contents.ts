/** The things that the services keep. */

/** Who may open a thing: everybody, members of the school, or the people chosen. */
export type Door = 'open' | 'school' | 'chosen';

export interface Kept {
  title: string;
  owner: string;
  door: Door;
  chosen: string[];
}
export interface Leaf extends Kept {
  paragraphs: string[];
  mayChange: boolean;
}
export interface Crate extends Kept {
  items: { name: string; about: string }[];
  mayChange: boolean;
}
export interface Ask extends Kept {
  about: string;
  questions: string[];
  taking: boolean;
  answers: number;
}
export interface Contents {
  leaves: Record<string, Leaf>;
  crates: Record<string, Crate>;
  asks: Record<string, Ask>;
}
