import { Module } from '@nestjs/common';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { TryoutResultsModule } from '../../reads/tryout-results/tryout-results.module.js';
import { VisitorModule } from '../../school/visitor/visitor.module.js';
import { StudentPageModule } from '../student-page/student-page.module.js';
import { Redirects } from './redirects.js';
import { ShortLinkPages } from './short-link-pages.js';
import { UnknownShortLinks } from './unknown-short-links.js';

@Module({
  imports: [ShortLinkModule, TryoutResultsModule, VisitorModule, StudentPageModule],
  providers: [Redirects, UnknownShortLinks, ShortLinkPages],
})
export class ShortLinkPageModule {}
