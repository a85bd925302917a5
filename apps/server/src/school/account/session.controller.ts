import { Body, Controller, Delete, Get, Inject, Post, Req, Res } from '@nestjs/common';
import type { SessionView, WelcomeView } from '@hapset/contract';
import { stringifySetCookie } from 'cookie';
import type { Request, Response } from 'express';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { demoAccount } from './demo-account.js';
import { Anyone } from '../rights/access.decorators.js';
import { Who } from '../rights/who.decorator.js';
import { sessionCookie, tokenOf } from '../rights/session-cookie.js';
import { VisitorAddress } from '../visitor/visitor-address.js';
import { SchoolService } from '../settings/school.service.js';
import type { Account } from './account.entity.js';
import { keptMs, SessionService } from './session.service.js';
import { SignInDto } from './sign-in.dto.js';

@Controller()
export class SessionController {
  constructor(
    private readonly sessions: SessionService,
    private readonly school: SchoolService,
    private readonly addresses: VisitorAddress,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Anyone()
  @Get('api/welcome')
  async welcome(): Promise<WelcomeView> {
    const school = await this.school.get();
    return {
      schoolName: school.name,
      hasAccounts: await this.sessions.hasAccounts(),
      demo: this.configuration.demo ? demoAccount : null,
    };
  }

  @Anyone()
  @Post('api/session')
  async signIn(
    @Body() body: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SessionView> {
    const { account, token } = await this.sessions.signIn({
      email: body.email,
      password: body.password,
      keep: body.keep ?? false,
      address: this.addresses.find(request),
      sharedAddress: this.addresses.isShared(request),
    });
    response.setHeader('Set-Cookie', cookie(token, body.keep === true ? keptMs / 1000 : null, request.secure));
    return toSessionView(account);
  }

  @Get('api/session')
  session(@Who() who: Account): SessionView {
    return toSessionView(who);
  }

  @Delete('api/session')
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<null> {
    await this.sessions.signOut(tokenOf(request) ?? '');
    response.setHeader('Set-Cookie', cookie('', 0, request.secure));
    return null;
  }
}

/** @param maxAge seconds; null for as long as the browser is open */
function cookie(value: string, maxAge: number | null, secure: boolean): string {
  return stringifySetCookie({
    name: sessionCookie,
    value,
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure,
    ...(maxAge !== null && { maxAge }),
  });
}

function toSessionView(account: Account): SessionView {
  return { accountId: account.id, name: account.name, email: account.email, role: account.role };
}
