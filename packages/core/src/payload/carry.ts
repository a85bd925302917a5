/** What the code of a material says: its carry, and from that the payload, letter by letter. */
export const carries = ['link', 'words'] as const;
export type Carry = (typeof carries)[number];

export interface Carried {
  readonly carry: Carry;
  readonly payload: string;
}

/** A link or words are carried exactly as they are: nothing stands between the code and what was typed. */
export function carriedBy(content: { readonly link: string | null; readonly words: string | null }): Carried {
  if (content.link !== null) return { carry: 'link', payload: content.link };
  return { carry: 'words', payload: content.words ?? '' };
}
