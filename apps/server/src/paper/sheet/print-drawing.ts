/** Long prints are drawn once, as jobs that tell their progress and can be stopped; their files are deleted when they are old. */
import { Injectable } from '@nestjs/common';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { JobService } from '../../platform/queue/job.service.js';
import { PrintOrders } from './print-orders.js';
import type { PrintRecord } from './sheet-record.js';
import { SheetWorkers } from './sheet-workers.js';
import { PrintRows } from './print-rows.js';

const jobKind = 'print';

@Injectable()
export class PrintDrawing {
  constructor(
    private readonly rows: PrintRows,
    private readonly printOrders: PrintOrders,
    private readonly workers: SheetWorkers,
    private readonly jobs: JobService,
  ) {
    jobs.handle({
      name: jobKind,
      pool: 'cores',
      work: (run) => this.draw(run),
      failed: async (id) => {
        const print = await this.rows.find(id);
        if (print) await this.end(print, 'failed');
      },
    });
  }

  async enqueue({ id, ownerId }: PrintRecord): Promise<void> {
    await this.jobs.enqueue({ kind: jobKind, subject: id, ownerId });
  }

  /** Of what was drawn before, and whose file is gone. */
  async begin(print: PrintRecord): Promise<void> {
    if (await this.rows.begin(print.id)) await this.enqueue(print);
  }

  /** What is on a print that is being drawn has become less. */
  async restart({ id, ownerId }: PrintRecord): Promise<void> {
    await this.jobs.restart({ kind: jobKind, subject: id, ownerId });
  }

  /** By id, how many pages are drawn, of those that are being drawn. */
  async listDrawn(prints: readonly PrintRecord[]): Promise<ReadonlyMap<string, number>> {
    const going = prints.filter(({ state }) => state === 'drawing').map(({ id }) => id);
    return new Map([...(await this.jobs.listProgress(jobKind, going))].map(([id, { done }]) => [id, done]));
  }

  async stop(print: PrintRecord): Promise<void> {
    await this.end(print, 'stopped');
    await this.cancel(print);
  }

  /** Nobody waits for it any more. */
  async cancel({ id }: PrintRecord): Promise<void> {
    await this.jobs.stop(jobKind, [id]);
  }

  /** As far as it has one. */
  async eraseFile(printId: string): Promise<void> {
    await this.rows.eraseFile(printId);
  }

  /**
   * Of a print that goes on. What was remembered as printed goes with it, since it never was; one that had a file
   * before is what it was.
   */
  private async end(print: PrintRecord, state: 'stopped' | 'failed'): Promise<void> {
    if (await this.rows.putBack(print.id)) return;
    if (await this.rows.end(print.id, state)) await this.printOrders.forget(print);
  }

  private async draw({ subject, stop, tell }: JobRun): Promise<void> {
    const print = await this.rows.findDrawing(subject);
    if (!print) return;
    const bytes = (await this.workers.ask(
      print.ownerId,
      { kind: 'pdf', order: await this.printOrders.load(print) },
      { long: true, stop, onPage: (drawn) => tell(drawn, print.pages) },
    )) as Uint8Array;
    // Where it was stopped or became another one meanwhile, nothing is kept, and the job was put back or ended with that.
    if (!stop.aborted) await this.rows.finish(print, bytes);
  }
}
