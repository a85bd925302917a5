import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import type { AccountLinkMade, HandedOver, StaffMember, StaffView } from '@hapset/contract';
import { AdministratorOnly, PasswordConfirmed } from '../rights/access.decorators.js';
import type { SignedIn } from '../rights/signed-in.js';
import { Who } from '../rights/who.decorator.js';
import { ChangeStaffDto, HandOverDto, InviteDto } from './staff.dto.js';
import { StaffLinks } from './staff-links.js';
import { StaffList } from './staff-list.js';
import { StaffService } from './staff.service.js';

@Controller('api/staff')
export class StaffController {
  constructor(
    private readonly staff: StaffService,
    private readonly list: StaffList,
    private readonly links: StaffLinks,
  ) {}

  @AdministratorOnly()
  @Get()
  view(): Promise<StaffView> {
    return this.list.view();
  }

  @AdministratorOnly()
  @PasswordConfirmed()
  @Post('invitations')
  invite(@Body() body: InviteDto, @Who() who: SignedIn): Promise<AccountLinkMade> {
    return this.links.invite(who, body);
  }

  @AdministratorOnly()
  @Delete('invitations/:invitationId')
  async revoke(@Param('invitationId') id: string, @Who() who: SignedIn): Promise<null> {
    await this.links.revoke(who, id);
    return null;
  }

  @AdministratorOnly()
  @PasswordConfirmed()
  @Patch(':accountId')
  change(@Param('accountId') id: string, @Body() body: ChangeStaffDto, @Who() who: SignedIn): Promise<StaffMember> {
    return this.staff.change(who, id, body);
  }

  @AdministratorOnly()
  @PasswordConfirmed()
  @Post(':accountId/reset-link')
  makeResetLink(@Param('accountId') id: string, @Who() who: SignedIn): Promise<AccountLinkMade> {
    return this.links.makeReset(who, id);
  }

  @AdministratorOnly()
  @PasswordConfirmed()
  @Post(':accountId/handover')
  @HttpCode(200)
  handOver(
    @Param('accountId') id: string,
    @Body() { toAccountId }: HandOverDto,
    @Who() who: SignedIn,
  ): Promise<HandedOver> {
    return this.staff.handOver(who, id, toAccountId);
  }
}
