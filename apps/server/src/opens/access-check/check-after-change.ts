/**
 * Materials are opened as a student would when they are new, lead to another address or hold something else; what is
 * removed is not opened any more.
 */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { isDeepStrictEqual } from 'node:util';
import { documentFiles, documentLinks, documentText, filesOf, type Kept } from '@hapset/core';
import { FileService } from '../../gather/file/file.service.js';
import { FileEvents } from '../../gather/file/file-events.js';
import { MaterialEvents, type MaterialChange, type MaterialSubscriber } from '../../gather/material/material-events.js';
import { MaterialFinder } from '../../gather/material/material-finder.js';
import { AccessCheckService } from './access-check.service.js';

@Injectable()
export class CheckAfterChange implements OnModuleInit, MaterialSubscriber {
  constructor(
    private readonly events: MaterialEvents,
    private readonly fileEvents: FileEvents,
    private readonly files: FileService,
    private readonly materials: MaterialFinder,
    private readonly checks: AccessCheckService,
  ) {}

  onModuleInit(): void {
    this.events.subscribe(this);
    this.fileEvents.subscribe(({ id }) => this.checkShowing(id));
  }

  async settled(changes: readonly MaterialChange[]): Promise<void> {
    const toOpen = changes.filter((change) => change.after.removedAt === null && opensOtherwise(change));
    await this.checks.enqueueAnew(toOpen.map(({ after }) => after));
    await this.checks.stop(changes.filter(({ after }) => after.removedAt !== null).map(({ after }) => after));
  }

  private async checkShowing(fileId: string): Promise<void> {
    const uses = await this.files.usesOf([fileId]);
    await this.checks.enqueueAnew(await this.materials.listByIds(uses.map(({ id }) => id)));
  }
}

function opensOtherwise({ before, after, addressBefore, addressAfter }: MaterialChange): boolean {
  return addressBefore !== addressAfter || !isDeepStrictEqual(whatOpens(before?.kept), whatOpens(after.kept));
}

/** What a check looks at: a page that is written on is opened again for its links, not for its words. */
function whatOpens(kept: Kept | null | undefined): unknown {
  if (!kept) return null;
  if (kept.kind !== 'written-page') return filesOf(kept);
  const { document } = kept;
  return [documentText(document) === '', documentLinks(document), documentFiles(document)];
}
