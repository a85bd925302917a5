import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Retention, rowsBefore } from '../../school/retention/retention.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { MissCounter } from './miss-counter.js';
import { OpensCounter } from './opens-counter.js';
import { RedirectTable } from './redirect-table.js';
import { ShortLinkCount } from './short-link-count.entity.js';
import { ShortLinkFollower } from './short-link-follower.js';
import { ShortLinkListService } from './short-link-list.service.js';
import { ShortLinkMiss } from './short-link-miss.entity.js';
import { ShortLinkTurn } from './short-link-turn.entity.js';
import { ShortLinkController } from './short-link.controller.js';
import { ShortLink } from './short-link.entity.js';
import { ShortLinkService } from './short-link.service.js';
import { ShortLinkHistory } from './short-link-history.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([ShortLink, ShortLinkTurn, ShortLinkCount, ShortLinkMiss]),
    MaterialModule,
    SchoolModule,
  ],
  controllers: [ShortLinkController],
  providers: [
    RedirectTable,
    OpensCounter,
    MissCounter,
    ShortLinkService,
    ShortLinkHistory,
    ShortLinkListService,
    ShortLinkFollower,
  ],
  exports: [RedirectTable, OpensCounter, MissCounter, ShortLinkService],
})
export class ShortLinkModule {
  constructor(retention: Retention) {
    retention.add('linkCounts', rowsBefore('short_link_counts', 'hour'));
  }
}
