/** Who must hear when a file gets other bytes: what shows it is not the same any more. */
import { Injectable } from '@nestjs/common';

export interface ReplacedFile {
  readonly id: string;
  readonly nameBefore: string;
  readonly nameAfter: string;
}

export type OnReplaced = (file: ReplacedFile) => Promise<void>;

@Injectable()
export class FileEvents {
  private readonly subscribers: OnReplaced[] = [];

  /** They hear one after the other, in the order in which they subscribed. */
  subscribe(subscriber: OnReplaced): void {
    this.subscribers.push(subscriber);
  }

  async replaced(file: ReplacedFile): Promise<void> {
    for (const subscriber of this.subscribers) await subscriber(file);
  }
}
