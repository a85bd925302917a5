/** Who must hear when students leave the school: what is kept of them alone while they are there is deleted then. */
import { Injectable } from '@nestjs/common';

@Injectable()
export class StudentEvents {
  private readonly listeners: (() => Promise<void>)[] = [];

  /** @param listener hears after it is committed that some have left; whom it concerns it asks itself */
  onLeft(listener: () => Promise<void>): void {
    this.listeners.push(listener);
  }

  async left(): Promise<void> {
    for (const listener of this.listeners) await listener();
  }
}
