declare module 'linebreak' {
  /** Opportunities to break a line, after UAX 14. */
  export default class LineBreaker {
    constructor(text: string);
    /** Null after the last one, which is the text's end. */
    nextBreak(): { readonly position: number; readonly required: boolean } | null;
  }
}
