import { Body, Controller, HttpCode, Post, Req, Res } from '@nestjs/common';
import type { AccountLinkView, SessionView } from '@hapset/contract';
import type { Request, Response } from 'express';
import { Clock } from '../../platform/clock/clock.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { SessionPlaces } from '../account/session-place.js';
import { toSessionView } from '../account/session.view.js';
import { Anyone } from '../rights/access.decorators.js';
import { setSessionCookie } from '../rights/session-cookie.js';
import { AttemptWindow } from '../visitor/attempt-window.js';
import { AccountLinkTokenDto, CreateAccountDto, ResetPasswordDto } from './account-link.dto.js';
import { AccountMaking } from './account-making.js';

@Controller('api/account-links')
export class AccountLinkController {
  private readonly attempts = new AttemptWindow();

  constructor(
    private readonly making: AccountMaking,
    private readonly places: SessionPlaces,
    private readonly clock: Clock,
  ) {}

  @Anyone()
  @Post()
  @HttpCode(200)
  look(@Body() { token }: AccountLinkTokenDto, @Req() request: Request): Promise<AccountLinkView> {
    this.count(request);
    return this.making.look(token);
  }

  @Anyone()
  @Post('account')
  async create(
    @Body() body: CreateAccountDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SessionView> {
    this.count(request);
    const { account, token } = await this.making.create(body, this.places.find(request));
    setSessionCookie(request, response, token, null);
    return toSessionView(account);
  }

  @Anyone()
  @Post('password')
  @HttpCode(200)
  async reset(
    @Body() body: ResetPasswordDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<SessionView> {
    this.count(request);
    const { account, token } = await this.making.reset(body, this.places.find(request));
    setSessionCookie(request, response, token, null);
    return toSessionView(account);
  }

  /** @throws ProblemError too-many-attempts */
  private count(request: Request): void {
    const retryAfterS = this.attempts.take(this.places.find(request).address, this.clock.now().getTime());
    if (retryAfterS > 0) throw new ProblemError('too-many-attempts', 'Too many tries from here.', { retryAfterS });
  }
}
