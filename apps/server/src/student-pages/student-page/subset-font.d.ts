declare module 'subset-font' {
  /** @param text characters that the font keeps */
  export default function subsetFont(
    font: Buffer,
    text: string,
    options: { readonly targetFormat: 'woff2' },
  ): Promise<Buffer>;
}
