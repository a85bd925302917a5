/** Rehearsals for scripts: asked for, done as a job in a worker thread, and looked up by their id. */
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { AskedRehearsalView, AskRehearsal } from '@hapset/contract';
import { chooseSize, modulesOf, predictReachM, usualScene } from '@hapset/core';
import { IsNull, LessThan, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { JobService } from '../../platform/queue/job.service.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { AskedRehearsal } from './asked-rehearsal.entity.js';
import { profileOf, type WorkerAnswer } from './asked-rehearsal.work.js';

const jobKind = 'rehearsal';
const keptMs = 7 * 24 * 3_600_000;
const longestMs = 120_000;
/** As it is built, also where this file runs from its source. */
const workerFile = fileURLToPath(new URL('../../../dist/reads/rehearsal/rehearsal.worker.js', import.meta.url));

@Injectable()
export class AskedRehearsalService {
  constructor(
    @InjectRepository(AskedRehearsal) private readonly rehearsals: Repository<AskedRehearsal>,
    private readonly jobs: JobService,
    private readonly clock: Clock,
  ) {
    jobs.handle({ name: jobKind, pool: 'cores', work: (run) => this.work(run), failed: (id) => this.fail(id) });
  }

  /** @throws ProblemError payload-too-long */
  async ask(request: AskRehearsal, askedById: string): Promise<string> {
    if (!chooseSize(request.payload).ok) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    const now = this.clock.now();
    await this.rehearsals.delete({ askedAt: LessThan(new Date(now.getTime() - keptMs)) });
    const id = newId();
    await this.rehearsals.insert({ id, askedById, request, result: null, failure: null, askedAt: now });
    await this.jobs.enqueue({ kind: jobKind, subject: id, ownerId: askedById });
    return id;
  }

  /** @throws ProblemError not-found */
  async view(id: string): Promise<AskedRehearsalView> {
    const found = await this.rehearsals.findOneBy({ id });
    if (!found) throw notFound('rehearsal');
    const { payload, sizeMm, device, scene } = found.request;
    const size = chooseSize(payload);
    const predictedM = size.ok
      ? Math.round(100 * predictReachM(profileOf(device), sizeMm, modulesOf(size.value.version), scene ?? usualScene)) /
        100
      : 0;
    return {
      id,
      state: found.result ? 'done' : found.failure === null ? 'working' : 'failed',
      predictedM,
      result: found.result,
    };
  }

  private async work(run: JobRun): Promise<void> {
    const found = await this.rehearsals.findOneBy({ id: run.subject });
    if (!found || found.result) return;
    const answer = await inWorker(found.request, run.stop);
    await this.rehearsals.manager.transaction(async (manager) => {
      if (!(await run.holds(manager))) return;
      const change = 'result' in answer ? { result: answer.result } : { failure: answer.failure.slice(0, 500) };
      await manager.update(AskedRehearsal, { id: run.subject }, change);
    });
  }

  private async fail(id: string): Promise<void> {
    await this.rehearsals.update({ id, result: IsNull() }, { failure: 'the server failed three times' });
  }
}

function inWorker(request: AskRehearsal, stop: AbortSignal): Promise<WorkerAnswer> {
  return new Promise((resolve) => {
    const worker = new Worker(workerFile, { workerData: request });
    const end = (answer: WorkerAnswer): void => {
      clearTimeout(timer);
      stop.removeEventListener('abort', abort);
      worker.terminate().catch(() => undefined);
      resolve(answer);
    };
    const abort = (): void => end({ failure: 'it took too long' });
    const timer = setTimeout(abort, longestMs);
    stop.addEventListener('abort', abort);
    worker.once('message', (answer: WorkerAnswer) => end(answer));
    worker.once('error', (error) => end({ failure: String(error) }));
    worker.once('exit', () => end({ failure: 'the worker ended without an answer' }));
  });
}
