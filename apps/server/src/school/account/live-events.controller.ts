import { Controller, Req, Sse, type MessageEvent } from '@nestjs/common';
import type { Account } from './account.entity.js';
import type { Request } from 'express';
import { map, type Observable } from 'rxjs';
import { tokenOf } from '../rights/session-cookie.js';
import { Who } from '../rights/who.decorator.js';
import { LiveEventsService } from '../../platform/live-events/live-events.service.js';
import { SessionService } from './session.service.js';

@Controller('api/events')
export class LiveEventsController {
  constructor(
    private readonly events: LiveEventsService,
    private readonly sessions: SessionService,
  ) {}

  /** `check` with `{ materialId, state }`, `tryout` with `{ materialId }`, and `alive` in between. */
  @Sse()
  stream(@Who() who: Account, @Req() request: Request): Observable<MessageEvent> {
    const token = tokenOf(request) ?? '';
    return this.events
      .listen(who.id, () => this.sessions.isAlive(token))
      .pipe(map((event) => (event ? { type: event.type, data: event } : { type: 'alive', data: '' })));
  }
}
