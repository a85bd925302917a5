import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountModule } from '../account/account.module.js';
import { Retention, rowsBefore } from '../retention/retention.js';
import { SchoolModule } from '../settings/school.module.js';
import { AccountLink } from './account-link.entity.js';
import { AccountLinkController } from './account-link.controller.js';
import { AccountLinks } from './account-links.js';
import { AccountMaking } from './account-making.js';

@Module({
  imports: [TypeOrmModule.forFeature([AccountLink]), AccountModule, SchoolModule],
  controllers: [AccountLinkController],
  providers: [AccountLinks, AccountMaking],
  exports: [AccountLinks],
})
export class AccountLinkModule {
  constructor(retention: Retention) {
    retention.add('sessions', rowsBefore('account_links', 'expires_at'));
  }
}
