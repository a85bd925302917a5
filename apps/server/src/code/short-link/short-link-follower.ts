/** Short links follow their materials: they lead wherever the material is, and remember where they led before. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { MaterialEvents, type MaterialChange, type MaterialSubscriber } from '../../gather/material/material-events.js';
import { ShortLinkService } from './short-link.service.js';
import { ShortLinkHistory } from './short-link-history.js';

@Injectable()
export class ShortLinkFollower implements OnModuleInit, MaterialSubscriber {
  constructor(
    private readonly events: MaterialEvents,
    private readonly links: ShortLinkService,
    private readonly history: ShortLinkHistory,
  ) {}

  onModuleInit(): void {
    this.events.subscribe(this);
  }

  async written(manager: EntityManager, { before, addressBefore, addressAfter }: MaterialChange): Promise<void> {
    if (before === null || before.slug === null) return;
    if (addressBefore !== null && addressAfter !== null && addressBefore !== addressAfter)
      await this.history.addTurn(manager, before.slug, addressBefore, addressAfter);
    await this.links.materialChanged(manager, before.id);
  }

  async settled(changes: readonly MaterialChange[]): Promise<void> {
    if (changes.some(({ before, after }) => before !== null && after.slug !== null)) await this.links.settle();
  }
}
