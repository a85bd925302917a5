/**
 * Who must hear when a material changes. Links, checks and stations depend on materials and not the other way round, so
 * they subscribe here when the server starts.
 */
import { Injectable } from '@nestjs/common';
import type { ChangeMaterial } from '@hapset/contract';
import type { EntityManager } from 'typeorm';
import type { MaterialRecord } from './material-record.js';

/** What happened to one material. */
export interface MaterialChange {
  /** Null for a new one. */
  readonly before: MaterialRecord | null;
  readonly after: MaterialRecord;
  /** Where students got it and where they get it now; null for what is in the code itself. */
  readonly addressBefore: string | null;
  readonly addressAfter: string | null;
}

export interface MaterialSubscriber {
  /** Before anything is written: refuses by throwing a ProblemError, or adds to the change. */
  prepareChange?(before: MaterialRecord, request: ChangeMaterial): Promise<Partial<MaterialRecord>>;
  /** Before it is removed: refuses by throwing a ProblemError. */
  prepareRemoval?(material: MaterialRecord): Promise<void>;
  /** In the transaction that writes the change. It must not ask the database by another connection. */
  written?(manager: EntityManager, change: MaterialChange): Promise<void>;
  /** After the changes are committed. */
  settled?(changes: readonly MaterialChange[]): Promise<void>;
}

@Injectable()
export class MaterialEvents {
  private readonly subscribers: MaterialSubscriber[] = [];

  subscribe(subscriber: MaterialSubscriber): void {
    this.subscribers.push(subscriber);
  }

  /** What the subscribers add to a change. @throws ProblemError of the first that refuses */
  async prepareChange(before: MaterialRecord, request: ChangeMaterial): Promise<Partial<MaterialRecord>> {
    let added: Partial<MaterialRecord> = {};
    for (const subscriber of this.subscribers)
      added = { ...added, ...(await subscriber.prepareChange?.(before, request)) };
    return added;
  }

  /** @throws ProblemError of the first that refuses */
  async prepareRemoval(material: MaterialRecord): Promise<void> {
    for (const subscriber of this.subscribers) await subscriber.prepareRemoval?.(material);
  }

  async written(manager: EntityManager, change: MaterialChange): Promise<void> {
    for (const subscriber of this.subscribers) await subscriber.written?.(manager, change);
  }

  async settled(changes: readonly MaterialChange[]): Promise<void> {
    for (const subscriber of this.subscribers) await subscriber.settled?.(changes);
  }
}
