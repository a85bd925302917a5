/** Pictures of a code, named by what they are for. */
export const pictureUses = ['printing', 'document', 'board'] as const;
export type PictureUse = (typeof pictureUses)[number];

export const pictureFormats = ['svg', 'pdf', 'png', 'jpeg'] as const;
export type PictureFormat = (typeof pictureFormats)[number];

export const pictureDensities = [300, 600] as const;
/** Pixels an inch. */
export type PictureDensity = (typeof pictureDensities)[number];

/** What stands in the query of a picture's address. */
export interface PictureOptions {
  readonly use: PictureUse;
  readonly format: PictureFormat;
  readonly dpi: PictureDensity;
}

export interface PicturesView {
  /** Side of the symbol, mm: as a poster would show it; as it suits a page that lies on a table; and the smallest that still reads in the hand. */
  readonly printingMm: number;
  readonly documentMm: number;
  readonly smallestMm: number;
  /** Address of the picture for web pages while it is shown; null while it is switched off. */
  readonly webAddress: string | null;
  /** Its width and height there, px. */
  readonly webWidthPx: number;
  readonly webHeightPx: number;
}

export interface ShowWebPicture {
  readonly shown: boolean;
}
