declare module 'bidi-js' {
  export interface EmbeddingLevels {
    /** One for each UTF-16 unit; odd ones run from right to left. */
    readonly levels: Uint8Array;
    readonly paragraphs: readonly { readonly start: number; readonly end: number; readonly level: number }[];
  }
  export interface Bidi {
    getEmbeddingLevels(text: string, direction?: 'ltr' | 'rtl' | 'auto'): EmbeddingLevels;
    /** Null where it has none. */
    getMirroredCharacter(character: string): string | null;
  }
  export default function bidiFactory(): Bidi;
}
