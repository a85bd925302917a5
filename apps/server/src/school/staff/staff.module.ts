import { Global, Module } from '@nestjs/common';
import { AccountModule } from '../account/account.module.js';
import { AccountLinkModule } from '../account-link/account-link.module.js';
import { SchoolModule } from '../settings/school.module.js';
import { Handover } from './handover.js';
import { StaffLinks } from './staff-links.js';
import { StaffList } from './staff-list.js';
import { StaffController } from './staff.controller.js';
import { StaffService } from './staff.service.js';

/** For all areas: each hands over what is its own. */
@Global()
@Module({
  imports: [AccountModule, AccountLinkModule, SchoolModule],
  controllers: [StaffController],
  providers: [StaffService, StaffList, StaffLinks, Handover],
  exports: [Handover],
})
export class StaffModule {}
