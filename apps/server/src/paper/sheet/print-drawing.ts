/** Long prints are drawn once, as jobs that tell their progress and can be stopped; their files are kept for a week. */
import { createHash } from 'node:crypto';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, IsNull, LessThan, Not, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { JobService } from '../../platform/queue/job.service.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { Loop } from '../../platform/loop/loop.js';
import { Storage } from '../../platform/storage/storage.js';
import { PrintJobs } from './print-jobs.js';
import { Print } from './print.entity.js';
import { SheetWorkers } from './sheet-workers.js';

const jobKind = 'print';
const keptMs = 7 * 24 * 3_600_000;
/** How often progress is written down, and whether it was stopped is looked up. */
const tellMs = 400;

@Injectable()
export class PrintDrawing {
  constructor(
    @InjectRepository(Print) private readonly prints: Repository<Print>,
    private readonly printJobs: PrintJobs,
    private readonly workers: SheetWorkers,
    private readonly jobs: JobService,
    private readonly storage: Storage,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    jobs.handle(
      jobKind,
      (id, stop, last) => this.draw(id, stop, last),
      async (id) => {
        const print = await this.prints.findOneBy({ id });
        if (print) await this.end(print, 'failed');
      },
    );
  }

  async ask(printId: string): Promise<void> {
    await this.jobs.ask(jobKind, printId);
  }

  /** Of a print that goes on; what was remembered as printed goes with it, since it never was. */
  async end(print: Print, state: 'stopped' | 'failed'): Promise<void> {
    const { affected } = await this.prints.update(
      { id: print.id, state: 'drawing' },
      { state, finishedAt: this.clock.now() },
    );
    if (affected === 1) await this.printJobs.forget(print);
  }

  /** Of those prints, as far as they have one. */
  async putAwayFiles(printIds: readonly string[]): Promise<void> {
    if (printIds.length > 0)
      await this.expire(await this.prints.find({ where: { id: In([...printIds]), storageKey: Not(IsNull()) } }));
  }

  private async draw(id: string, stop: AbortSignal, last: boolean): Promise<void> {
    await this.expire(
      await this.prints.find({
        where: { finishedAt: LessThan(new Date(this.clock.now().getTime() - keptMs)), storageKey: Not(IsNull()) },
      }),
    );
    for (;;) {
      const print = await this.prints.findOneBy({ id, state: 'drawing' });
      if (!print || (await this.drawOnce(print, stop, last)) !== 'outdated') return;
    }
  }

  /** @returns `outdated` where what is on the print became less meanwhile: then it is drawn again */
  private async drawOnce(print: Print, stop: AbortSignal, last: boolean): Promise<'ended' | 'outdated'> {
    const { id, revision } = print;
    const halt = new AbortController();
    const halted = (): void => halt.abort();
    stop.addEventListener('abort', halted);
    let drawn = 0;
    const telling = new Loop(async () => ((await this.tell(id, revision, drawn)) ? undefined : halted()), {
      name: 'write down how far a print is',
      everyMs: tellMs,
      logger: this.logger,
    }).start();
    try {
      const bytes = (await this.workers.ask(
        print.ownerId,
        { sort: 'pdf', job: await this.printJobs.of(print) },
        { long: true, stop: halt.signal, onPage: (count) => (drawn = count) },
      )) as Uint8Array;
      const storageKey = await this.store(print, bytes);
      const { affected } = await this.prints.update(
        { id, state: 'drawing', revision },
        { state: 'done', drawn: print.pages, storageKey, finishedAt: this.clock.now() },
      );
      if (affected === 1) return 'ended';
      await this.storage.remove(storageKey);
      return 'outdated';
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

  /** @returns false once it was stopped, or became another one */
  private async tell(id: string, revision: number, drawn: number): Promise<boolean> {
    await this.prints.update({ id, state: 'drawing', revision }, { drawn });
    return this.prints.existsBy({ id, state: 'drawing', revision });
  }

  private async store({ id, revision }: Print, bytes: Uint8Array): Promise<string> {
    const folder = await mkdtemp(join(tmpdir(), 'hapset-print-'));
    try {
      const file = join(folder, 'print.pdf');
      await writeFile(file, bytes);
      // Keys of the storage are hashes.
      const key = `${createHash('sha256').update(`print ${id} ${revision}`).digest('hex')}.pdf`;
      await this.storage.take(key, file);
      return key;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  /** That their codes are on paper is remembered. */
  private async expire(prints: readonly Print[]): Promise<void> {
    for (const { storageKey } of prints) if (storageKey !== null) await this.storage.remove(storageKey);
    if (prints.length > 0)
      await this.prints.update({ id: In(prints.map(({ id }) => id)) }, { state: 'expired', storageKey: null });
  }
}
