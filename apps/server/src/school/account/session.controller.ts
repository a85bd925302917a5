import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, Res } from '@nestjs/common';
import type { SessionView, WelcomeView } from '@hapset/contract';
import type { Request, Response } from 'express';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { demoAccount } from './demo-account.js';
import { Anyone, PasswordConfirmed } from '../rights/access.decorators.js';
import { Who } from '../rights/who.decorator.js';
import { setSessionCookie, tokenOf } from '../rights/session-cookie.js';
import type { SignedIn } from '../rights/signed-in.js';
import { SchoolService } from '../settings/school.service.js';
import { SessionPlaces } from './session-place.js';
import { keptMs, SessionService } from './session.service.js';
import { toSessionView } from './session.view.js';
import { ConfirmPasswordDto, SignInDto } from './sign-in.dto.js';
import { SignInService } from './sign-in.service.js';

@Controller()
export class SessionController {
  constructor(
    private readonly sessions: SessionService,
    private readonly signIns: SignInService,
    private readonly school: SchoolService,
    private readonly places: SessionPlaces,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Anyone()
  @Get('api/welcome')
  async welcome(): Promise<WelcomeView> {
    const school = await this.school.get();
    return {
      schoolName: school.name,
      hasAccounts: await this.signIns.hasAccounts(),
      demo: this.configuration.demo ? demoAccount : null,
    };
  }

  @Anyone()
  @Post('api/session')
  async signIn(
    @Body() { email, password, keep = false }: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SessionView> {
    const { account, token } = await this.signIns.signIn({ email, password, ...this.places.find(request, keep) });
    setSessionCookie(request, response, token, keep ? keptMs / 1000 : null);
    return toSessionView(account);
  }

  @Get('api/session')
  session(@Who() who: SignedIn): SessionView {
    return toSessionView(who);
  }

  @Delete('api/session')
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<null> {
    await this.sessions.signOut(tokenOf(request) ?? '');
    setSessionCookie(request, response, '', 0);
    return null;
  }

  @PasswordConfirmed()
  @Get('api/session/confirmation')
  confirmation(): null {
    return null;
  }

  @Post('api/session/confirmation')
  @HttpCode(200)
  async confirm(
    @Body() { password }: ConfirmPasswordDto,
    @Who() who: SignedIn,
    @Req() request: Request,
  ): Promise<null> {
    await this.signIns.check(who, password, this.places.find(request));
    await this.sessions.confirm(tokenOf(request) ?? '');
    return null;
  }
}
