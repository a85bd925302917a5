/** Pictures of a code, named by what they are for. */
export const pictureUses = ['printing', 'document', 'board'] as const;
/** What a picture of a code is for; it decides size and file name. */
export type PictureUse = (typeof pictureUses)[number];

/** Files that a code can be taken as. */
export const pictureFormats = ['svg', 'pdf', 'png', 'jpeg'] as const;
/** One of them, by the ending of its file. */
export type PictureFormat = (typeof pictureFormats)[number];

/** Dots an inch of pixel files for print. */
export const pictureDensities = [300, 600] as const;
/** Pixels an inch. */
export type PictureDensity = (typeof pictureDensities)[number];

/** What is in the query of a picture's address. */
export interface PictureOptions {
  readonly use: PictureUse;
  readonly format: PictureFormat;
  readonly dpi: PictureDensity;
}

/** How large pictures of a material's code are, by use. */
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

/** Whether the address of a picture for web pages answers. */
export interface ShowWebPicture {
  readonly shown: boolean;
}
