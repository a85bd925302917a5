/** What a teacher chooses of a code in a change of its material: what it carries, and its look. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import type { ChangeMaterial } from '@hapset/contract';
import { addressOf } from '../../gather/material/material-address.js';
import { MaterialEvents, type MaterialSubscriber } from '../../gather/material/material-events.js';
import { leadsElsewhere } from '../../gather/material/material.service.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { LookService } from '../look/look.service.js';
import { ShortLinkService } from '../short-link/short-link.service.js';
import { carryChange } from './carry-change.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';

@Injectable()
export class CodeChoices implements OnModuleInit, MaterialSubscriber {
  constructor(
    private readonly events: MaterialEvents,
    private readonly looks: LookService,
    private readonly checks: AccessCheckService,
    private readonly shortLinks: ShortLinkService,
    private readonly school: SchoolService,
  ) {}

  onModuleInit(): void {
    this.events.subscribe(this);
  }

  /** @throws ProblemError invalid for a look that can't be chosen, and for what can't be carried */
  async prepareChange(before: MaterialRecord, { carry, look, link }: ChangeMaterial): Promise<Partial<MaterialRecord>> {
    if (look !== undefined && look !== before.look) await this.looks.requireChoice(look);
    return {
      ...(look !== undefined && { look }),
      ...(carry !== undefined && !leadsElsewhere(before, link) && (await this.carry(before, carry))),
    };
  }

  private async carry(before: MaterialRecord, carry: MaterialRecord['carry']): Promise<Partial<MaterialRecord>> {
    const [checks, { publicAddress }] = await Promise.all([this.checks.lastOf([before]), this.school.get()]);
    const trimmed = checks.get(before.id)?.done?.trimmed;
    const change = carryChange(addressOf(before, publicAddress), carry, trimmed?.same ? trimmed.link : null);
    return carry === 'short-link' ? { ...change, slug: await this.shortLinks.allocate(before) } : change;
  }
}
