import sharp from 'sharp';

/** A picture of one colour. */
export function smallPng(width = 8, height = 8): Promise<Buffer> {
  return sharp({ create: { width, height, channels: 3, background: '#1d6f5b' } })
    .png()
    .toBuffer();
}
