/** Long prints are drawn once, as jobs that tell their progress and can be stopped; their files are kept for a week. */
import { Inject, Injectable } from '@nestjs/common';
import { JobService } from '../../platform/queue/job.service.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { Loop } from '../../platform/loop/loop.js';
import { PrintJobs } from './print-jobs.js';
import type { Print } from './print.entity.js';
import { SheetWorkers } from './sheet-workers.js';
import { PrintRows } from './print-rows.js';

const jobKind = 'print';
/** How often progress is written down, and whether it was stopped is looked up. */
const tellMs = 400;

@Injectable()
export class PrintDrawing {
  constructor(
    private readonly rows: PrintRows,
    private readonly printJobs: PrintJobs,
    private readonly workers: SheetWorkers,
    private readonly jobs: JobService,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    jobs.handle(
      jobKind,
      (id, stop, last) => this.draw(id, stop, last),
      async (id) => {
        const print = await this.rows.find(id);
        if (print) await this.end(print, 'failed');
      },
    );
  }

  async enqueue(printId: string): Promise<void> {
    await this.jobs.enqueue(jobKind, printId);
  }

  /** Of a print that goes on; what was remembered as printed goes with it, since it never was. */
  async end(print: Print, state: 'stopped' | 'failed'): Promise<void> {
    if (await this.rows.end(print.id, state)) await this.printJobs.forget(print);
  }

  /** Of those prints, as far as they have one. */
  async putAwayFiles(printIds: readonly string[]): Promise<void> {
    await this.rows.putAwayFiles(printIds);
  }

  private async draw(id: string, stop: AbortSignal, last: boolean): Promise<void> {
    await this.rows.expireOld();
    for (;;) {
      const print = await this.rows.findDrawing(id);
      if (!print || (await this.drawOnce(print, stop, last)) !== 'outdated') return;
    }
  }

  /** @returns `outdated` where what is on the print became less meanwhile: then it is drawn again */
  private async drawOnce(print: Print, stop: AbortSignal, last: boolean): Promise<'ended' | 'outdated'> {
    const halt = new AbortController();
    const halted = (): void => halt.abort();
    stop.addEventListener('abort', halted);
    let drawn = 0;
    const telling = new Loop(async () => ((await this.rows.tell(print, drawn)) ? undefined : halted()), {
      name: 'write down how far a print is',
      everyMs: tellMs,
      logger: this.logger,
    }).start();
    try {
      const bytes = (await this.workers.ask(
        print.ownerId,
        { kind: 'pdf', job: await this.printJobs.load(print) },
        { long: true, stop: halt.signal, onPage: (count) => (drawn = count) },
      )) as Uint8Array;
      return (await this.rows.finish(print, bytes)) ? 'ended' : 'outdated';
    } catch (error) {
      // Stopped by its owner, put aside with the server, or outdated: none of them is a failure.
      if (halt.signal.aborted) return stop.aborted ? 'ended' : 'outdated';
      if (last) await this.end(print, 'failed');
      throw error;
    } finally {
      await telling.stop();
      stop.removeEventListener('abort', halted);
    }
  }
}
