import { Controller, Get, Query, Res } from '@nestjs/common';
import type { ActivityPage } from '@hapset/contract';
import type { Response } from 'express';
import { safeCsv } from '../../platform/spreadsheet/safe-csv.js';
import { AdministratorOnly, PasswordConfirmed } from '../rights/access.decorators.js';
import type { SignedIn } from '../rights/signed-in.js';
import { Who } from '../rights/who.decorator.js';
import { ActivityService, isActivity, type ActivityRequest } from './activity.service.js';

/** More than a school does in a year. */
const rowsAtMost = 100_000;

@Controller('api')
export class ActivityController {
  constructor(private readonly activity: ActivityService) {}

  @AdministratorOnly()
  @Get('activity')
  page(@Query() query: Readonly<Record<string, unknown>>): Promise<ActivityPage> {
    return this.activity.page(requestOf(query));
  }

  @AdministratorOnly()
  @PasswordConfirmed()
  @Get('activity.csv')
  async csv(
    @Query() query: Readonly<Record<string, unknown>>,
    @Who() who: SignedIn,
    @Res() response: Response,
  ): Promise<void> {
    await this.activity.note(who, 'activity-exported');
    const rows = await this.activity.rows({ ...requestOf(query), before: null }, rowsAtMost);
    const text = safeCsv(
      ['When (UTC)', 'Who', 'Role', 'What', 'To whom or what'],
      rows.map(({ at, who: name, role, activity, subject }) => [at.toISOString(), name, role ?? '', activity, subject]),
    );
    response
      .set({ 'Content-Type': 'text/csv; charset=utf-8', 'Content-Disposition': 'attachment; filename="Activity.csv"' })
      .send(text);
  }
}

function requestOf(query: Readonly<Record<string, unknown>>): ActivityRequest {
  const text = (value: unknown): string | null => (typeof value === 'string' && value !== '' ? value : null);
  return {
    before: text(query.before),
    activity: isActivity(query.activity) ? query.activity : null,
    who: text(query.who),
  };
}
