/**
 * What is somebody's and goes to a colleague. Each area says for its own things how they are handed over, in the order in
 * which areas depend on each other; all of it happens in one transaction.
 */
import { Injectable } from '@nestjs/common';
import type { HandedOver } from '@hapset/contract';
import type { EntityManager } from 'typeorm';

export interface HandoverPart {
  /** Under which it is counted; null for what follows something else. */
  readonly counts: keyof HandedOver | null;
  /** @returns how many went to the colleague */
  readonly give: (from: string, to: string, manager: EntityManager) => Promise<number>;
}

@Injectable()
export class Handover {
  private readonly parts: HandoverPart[] = [];

  /** Who keeps something for somebody, registers when the server starts. */
  add(part: HandoverPart): void {
    this.parts.push(part);
  }

  async give(from: string, to: string, manager: EntityManager): Promise<HandedOver> {
    const given = { lessons: 0, materials: 0, files: 0 };
    for (const part of this.parts) {
      const count = await part.give(from, to, manager);
      if (part.counts !== null) given[part.counts] += count;
    }
    return given;
  }
}

/** Rows with an owner. @param table of our own, never of a request */
export function rowsOf(table: 'lessons' | 'materials' | 'kept_files' | 'prints'): HandoverPart['give'] {
  return async (from, to, manager) => {
    const { affectedRows } = (await manager.query(`UPDATE ${table} SET owner_id = ? WHERE owner_id = ?`, [
      to,
      from,
    ])) as {
      affectedRows: number;
    };
    return affectedRows;
  };
}
