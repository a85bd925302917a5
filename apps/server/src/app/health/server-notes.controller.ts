/** What the administrator has to know of how this server runs. */
import { Controller, Get } from '@nestjs/common';
import type { ServerNotes } from '@hapset/contract';
import { newSlugLengths } from '@hapset/core';
import { DataSource } from 'typeorm';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { MissCounter } from '../../code/short-link/miss-counter.js';
import { VisitorAddress } from '../../school/visitor/visitor-address.js';

@Controller('api/school/server-notes')
export class ServerNotesController {
  constructor(
    private readonly addresses: VisitorAddress,
    private readonly misses: MissCounter,
    private readonly school: SchoolService,
    private readonly dataSource: DataSource,
  ) {}

  @AdministratorOnly()
  @Get()
  async notes(): Promise<ServerNotes> {
    const { misses, slowed } = await this.misses.lastDay();
    const rows = (await this.dataSource.query(
      'SELECT COUNT(*) AS count FROM short_links WHERE current_for IS NOT NULL AND CHAR_LENGTH(slug) < ?',
      [newSlugLengths.least],
    )) as { count: string }[];
    const { formerShortHosts } = await this.school.get();
    return {
      formerShortHosts: formerShortHosts ?? [],
      undeclaredProxy: this.addresses.undeclaredProxy,
      unknownShortLinks: misses,
      slowedShortLinks: slowed,
      shortSlugs: Number(rows[0]?.count ?? 0),
    };
  }
}
