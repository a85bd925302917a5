import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StudentAssets } from '../../student-pages/student-page/student-assets.js';
import { Tryout } from '../../reads/tryout/tryout.entity.js';
import { TryoutService } from '../../reads/tryout/tryout.service.js';
import { VisitorModule } from '../../school/visitor/visitor.module.js';
import { MissCounter } from './miss-counter.js';
import { ShortLinkMiss } from './short-link-miss.entity.js';
import { OpensCounter } from './opens-counter.js';
import { RedirectTable } from './redirect-table.js';
import { Redirects } from '../../student-pages/short-link-page/redirects.js';
import { ShortLinkCount } from './short-link-count.entity.js';
import { ShortLinkListService } from './short-link-list.service.js';
import { ShortLinkPages } from '../../student-pages/short-link-page/short-link-pages.js';
import { ShortLinkTurn } from './short-link-turn.entity.js';
import { ShortLink } from './short-link.entity.js';
import { ShortLinkService } from './short-link.service.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([ShortLink, ShortLinkTurn, ShortLinkCount, ShortLinkMiss, Tryout]),
    SchoolModule,
    VisitorModule,
  ],
  providers: [
    RedirectTable,
    OpensCounter,
    MissCounter,
    Redirects,
    ShortLinkPages,
    ShortLinkService,
    ShortLinkListService,
    StudentAssets,
    TryoutService,
  ],
  exports: [Redirects, MissCounter, ShortLinkService, ShortLinkListService, TryoutService],
})
export class ShortLinkModule {}
