/** The picture of what opened, made small: the one that a page offers for previews, or the first that is kept here. */
import { Injectable } from '@nestjs/common';
import type { Evidence, Kept } from '@hapset/core';
import { KeptFactsService } from '../../gather/file/kept-facts.service.js';
import { Decoder } from '../../platform/decoder/decoder.js';
import { StudentBrowser } from '../student-browser/student-browser.js';

const widthPx = 320;
const heightPx = 200;

@Injectable()
export class SmallPicture {
  constructor(
    private readonly browser: StudentBrowser,
    private readonly decoder: Decoder,
    private readonly keptFacts: KeptFactsService,
  ) {}

  /** Fetched through the same guard. WebP; null without a picture, or for one that can't be read. */
  async ofPage({ final }: Evidence, publicAddress: string | null, stop: AbortSignal): Promise<Buffer | null> {
    const address = final?.contentType.startsWith('image/') ? final.address : (final?.page?.picture ?? null);
    return address === null ? null : this.shrink((await this.browser.openPage(address, stop, publicAddress)).picture);
  }

  async ofKept(kept: Kept): Promise<Buffer | null> {
    return this.shrink(await this.keptFacts.firstPicture(kept));
  }

  private async shrink(picture: Uint8Array | null): Promise<Buffer | null> {
    if (picture === null) return null;
    try {
      return Buffer.from((await this.decoder.decode({ kind: 'preview', picture, widthPx, heightPx })).bytes);
    } catch {
      return null; // It claims to be a picture but can't be read as one.
    }
  }
}
