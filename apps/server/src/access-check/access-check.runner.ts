/**
 * Works through the checks that wait. A check is claimed by a conditional update with a lease, so several servers can
 * share the work, and what a killed server left behind is taken up again when its lease has run out.
 */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { judgeAccess, samePage, trimLink, type Evidence, type Judgement, type MaterialKind, type ServiceCatalogue } from '@hapset/core';
import { In, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';
import { Material } from '../material/material.entity.js';
import { SchoolService } from '../school/school.service.js';
import { ServiceDescriptionService } from '../service-description/service-description.service.js';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { AccessCheck } from './access-check.entity.js';

const atOnce = 6;
/** A check opens two links at most, each in ten seconds; twice that and its server is believed dead. */
const leaseMs = 40_000;
/** How often to look for work that another server left behind. */
const lookAroundMs = 5_000;

@Injectable()
export class AccessCheckRunner implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly running = new Map<string, { readonly stop: AbortController; readonly finished: Promise<void> }>();
  private timer: NodeJS.Timeout | null = null;
  private claiming: Promise<void> | null = null;
  private wakeAgain = false;
  private ended = false;

  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly browser: StudentBrowser,
    private readonly services: ServiceDescriptionService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => this.wake(), lookAroundMs);
    this.timer.unref();
    this.wake();
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended = true;
    if (this.timer) clearInterval(this.timer);
    await this.claiming;
    for (const { stop } of this.running.values()) stop.abort();
    await Promise.all([...this.running.values()].map(({ finished }) => finished));
  }

  /** Looks for work now. */
  wake(): void {
    if (this.ended) return;
    if (this.claiming) {
      this.wakeAgain = true;
      return;
    }
    this.claiming = this.claimUntilFull()
      .catch((error: unknown) => this.logger.error({ err: error }, 'could not look for access checks'))
      .finally(() => {
        this.claiming = null;
        if (!this.wakeAgain) return;
        this.wakeAgain = false;
        this.wake();
      });
  }

  /** Ends the requests of checks that are stopped in the database. */
  stopWhatWasStopped(): void {
    void this.checks.findBy({ id: In([...this.running.keys()]), state: 'stopped' }).then((stopped) => {
      for (const { id } of stopped) this.running.get(id)?.stop.abort();
    });
  }

  private async claimUntilFull(): Promise<void> {
    while (!this.ended && this.running.size < atOnce) {
      const check = await this.claim();
      if (!check) return;
      const stop = new AbortController();
      const finished = this.work(check, stop.signal)
        .catch((error: unknown) => this.logger.error({ err: error, check: check.id }, 'an access check failed'))
        .finally(() => {
          this.running.delete(check.id);
          this.wake();
        });
      this.running.set(check.id, { stop, finished });
    }
  }

  private async claim(): Promise<AccessCheck | null> {
    const now = this.clock.now();
    const claim = newId();
    await this.checks.query(
      `UPDATE access_checks SET state = 'opening', claim = ?, lease_until = ?
       WHERE state = 'waiting' OR (state = 'opening' AND lease_until < ?) ORDER BY id LIMIT 1`,
      [claim, new Date(now.getTime() + leaseMs), now],
    );
    return this.checks.findOneBy({ claim });
  }

  private async work(check: AccessCheck, stop: AbortSignal): Promise<void> {
    const catalogue = await this.services.catalogue();
    const { publicAddress } = await this.school.get();
    const evidence = await this.browser.open(check.link, stop, publicAddress);
    const judgement = judgeAccess(evidence, catalogue);
    const trimmed = judgement.verdict === 'open' ? await this.openTrimmed(check.link, evidence, catalogue, stop) : null;
    if (stop.aborted) {
      // Ended with the server: somebody else may take it up at once. A check that was stopped on purpose stays so.
      await this.checks.update({ id: check.id, state: 'opening' }, { state: 'waiting', claim: null, leaseUntil: null });
      return;
    }
    await this.finish(check, evidence, judgement, trimmed);
  }

  /** Opens the link without what only counts visitors, where it has such parameters. */
  private async openTrimmed(link: string, evidence: Evidence, catalogue: ServiceCatalogue, stop: AbortSignal): Promise<AccessCheck['trimmed']> {
    const trimmed = trimLink(link, catalogue);
    return trimmed && { ...trimmed, same: samePage(evidence, await this.browser.open(trimmed.link, stop), catalogue) };
  }

  /** Verdict and what was learnt become visible together; a check that was stopped or taken over meanwhile changes nothing. */
  private async finish(check: AccessCheck, evidence: Evidence, { verdict, reason, detail }: Judgement, trimmed: AccessCheck['trimmed']): Promise<void> {
    await this.checks.manager.transaction(async (manager) => {
      const { affected } = await manager.update(
        AccessCheck,
        { id: check.id, state: 'opening', claim: check.claim ?? '' },
        { state: 'done', finishedAt: this.clock.now(), leaseUntil: null, verdict, reason, detail: detail.slice(0, 500), evidence, trimmed },
      );
      if (affected === 1 && verdict === 'open') await learn(manager, check, evidence);
    });
  }
}

/** Title and kind that only the page itself could tell; never over what a person wrote. */
async function learn(manager: EntityManager, check: AccessCheck, evidence: Evidence): Promise<void> {
  const where = { id: check.materialId, link: check.link };
  const title = evidence.final?.page?.title.normalize('NFC').slice(0, 200) ?? '';
  if (title !== '') await manager.update(Material, { ...where, titleSource: In(['address', 'page']) }, { title, titleSource: 'page' });
  const kind = kindOfFile(evidence.final?.contentType ?? '');
  if (kind) await manager.update(Material, { ...where, kind: 'web-page' }, { kind });
}

function kindOfFile(contentType: string): MaterialKind | null {
  if (contentType === 'application/pdf') return 'document';
  if (contentType.startsWith('audio/')) return 'audio';
  return contentType.startsWith('video/') ? 'video' : null;
}
