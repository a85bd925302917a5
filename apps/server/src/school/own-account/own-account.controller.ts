import { Body, Controller, Delete, Get, Param, Patch, Put, Req } from '@nestjs/common';
import type { OwnAccount, SessionView } from '@hapset/contract';
import type { Request } from 'express';
import { SessionPlaces } from '../account/session-place.js';
import { SessionService } from '../account/session.service.js';
import { toSessionView } from '../account/session.view.js';
import { PasswordConfirmed } from '../rights/access.decorators.js';
import { tokenOf } from '../rights/session-cookie.js';
import type { SignedIn } from '../rights/signed-in.js';
import { Who } from '../rights/who.decorator.js';
import { ChangeEmailDto, ChangeNameDto, SetPasswordDto } from './own-account.dto.js';
import { OwnAccountService } from './own-account.service.js';

@Controller('api/account')
export class OwnAccountController {
  constructor(
    private readonly account: OwnAccountService,
    private readonly sessions: SessionService,
    private readonly places: SessionPlaces,
  ) {}

  @Get()
  view(@Who() who: SignedIn, @Req() request: Request): Promise<OwnAccount> {
    return this.account.view(who, tokenOf(request) ?? '');
  }

  @Patch()
  async changeName(@Body() { name }: ChangeNameDto, @Who() who: SignedIn): Promise<SessionView> {
    return toSessionView(await this.account.changeName(who, name));
  }

  @PasswordConfirmed()
  @Put('email')
  async changeEmail(@Body() { email }: ChangeEmailDto, @Who() who: SignedIn): Promise<SessionView> {
    return toSessionView(await this.account.changeEmail(who, email));
  }

  @Put('password')
  async setPassword(@Body() body: SetPasswordDto, @Who() who: SignedIn, @Req() request: Request): Promise<null> {
    await this.account.setPassword(who, body, { ...this.places.find(request), token: tokenOf(request) ?? '' });
    return null;
  }

  @Delete('sessions/:sessionId')
  async endSession(@Param('sessionId') id: string, @Who() who: SignedIn): Promise<null> {
    await this.sessions.end(who.id, id);
    return null;
  }
}
