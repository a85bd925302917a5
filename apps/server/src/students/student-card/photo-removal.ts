/** Photos go when students leave, and with them the files of prints that show them; hourly, where the school has switched photos off. */
import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { PrintService } from '../../paper/sheet/print.service.js';
import { StudentEvents } from '../student/student-events.js';
import { StudentPhotoService } from '../student-photo/student-photo.service.js';
import { PrintedCards } from './printed-cards.js';

const hourMs = 3600 * 1000;

@Injectable()
export class PhotoRemoval extends LoopOfServer implements OnModuleInit {
  constructor(
    private readonly photos: StudentPhotoService,
    private readonly printed: PrintedCards,
    private readonly prints: PrintService,
    private readonly events: StudentEvents,
    @Inject(LOGGER) logger: AppLogger,
  ) {
    super(() => this.remove(), { name: 'remove photos of students who left', everyMs: hourMs, logger });
  }

  onModuleInit(): void {
    this.events.onLeft(() => this.remove());
  }

  private async remove(): Promise<void> {
    const studentIds = await this.photos.removeUnneeded();
    for (const printId of await this.printed.forgetPhotos(studentIds)) await this.prints.rewrite(printId);
  }
}
