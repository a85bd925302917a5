/** A rectangle on paper, from the page's upper left corner. */
export interface MmBox {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Width and height, mm. */
export interface PaperSize {
  readonly widthMm: number;
  readonly heightMm: number;
}
