/** Materials are opened as a student would when they are new or lead withNewAddress; what is removed is not opened any more. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { MaterialEvents, type MaterialChange, type MaterialSubscriber } from '../../gather/material/material-events.js';
import { AccessCheckService } from './access-check.service.js';

@Injectable()
export class CheckAfterChange implements OnModuleInit, MaterialSubscriber {
  constructor(
    private readonly events: MaterialEvents,
    private readonly checks: AccessCheckService,
  ) {}

  onModuleInit(): void {
    this.events.subscribe(this);
  }

  async settled(changes: readonly MaterialChange[]): Promise<void> {
    const withNewAddress = changes.filter(
      ({ after, addressBefore, addressAfter }) => after.removedAt === null && addressBefore !== addressAfter,
    );
    if (withNewAddress.length > 0) await this.checks.enqueue(withNewAddress.map(({ after }) => after));
    await this.checks.stop(changes.filter(({ after }) => after.removedAt !== null).map(({ after }) => after));
  }
}
