/** Paper formats in millimetres, upright. A4 after ISO 216, Letter after ANSI/ASME Y14.1. */
export const paperFormats = { A4: { widthMm: 210, heightMm: 297 }, Letter: { widthMm: 215.9, heightMm: 279.4 } } as const;
export type PaperFormat = keyof typeof paperFormats;

/** What office printers can't reach at the edge, with a little room. */
export const pageMarginMm = 14;
