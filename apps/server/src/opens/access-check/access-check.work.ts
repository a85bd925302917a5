/** What one check does: opens the link, looks inside where it holds other things, judges, and writes down what was learnt. */
import { limits } from '@hapset/contract';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  isFolder,
  judgeAccess,
  letsIn,
  samePage,
  trimLink,
  type Evidence,
  type Holder,
  type Judgement,
  type MaterialKind,
  type ServiceCatalogue,
} from '@hapset/core';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { Decoder } from '../../platform/decoder/decoder.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { AccessCheck } from './access-check.entity.js';
import { lookInside } from './look-inside.js';
import { smallPicture } from './small-picture.js';
import { learnFromPage, type LearntPage } from '../../gather/material/learn-from-page.js';

const detailLength = 500;

export interface CheckSurroundings {
  readonly catalogue: ServiceCatalogue;
  readonly publicAddress: string;
}

@Injectable()
export class AccessCheckWork {
  private preparing: Promise<CheckSurroundings> | null = null;

  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly browser: StudentBrowser,
    private readonly decoder: Decoder,
    private readonly services: ServiceDescriptionService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  /** What checks that begin together share: it is read once for them. */
  prepare(): Promise<CheckSurroundings> {
    this.preparing ??= Promise.all([this.services.catalogue(), this.school.get()])
      .then(([catalogue, { publicAddress }]) => ({ catalogue, publicAddress }))
      .finally(() => (this.preparing = null));
    return this.preparing;
  }

  /** Writes nothing when it was stopped. @param check with its material */
  async work(check: AccessCheck, { catalogue, publicAddress }: CheckSurroundings, run: JobRun): Promise<void> {
    const { stop } = run;
    const opened = await this.browser.openPage(check.link, stop, publicAddress);
    const outside = judgeAccess(opened.evidence, catalogue);
    const holder = letsIn(outside.verdict) ? holderOf(check, catalogue) : null;
    const evidence = holder
      ? await lookInside(holder, opened, { browser: this.browser, catalogue, publicAddress, stop })
      : opened.evidence;
    const judgement = holder ? judgeAccess(evidence, catalogue) : outside;
    const trimmed = letsIn(judgement.verdict) ? await this.openTrimmed(check.link, evidence, catalogue, stop) : null;
    const picture = letsIn(judgement.verdict)
      ? await smallPicture({ browser: this.browser, decoder: this.decoder }, evidence, publicAddress, stop)
      : null;
    if (!stop.aborted)
      await this.finish({ check, run }, evidence, judgement, {
        trimmed,
        picture,
        pictureBytes: picture?.length ?? null,
      });
  }

  /** Opens the link without what only counts visitors, where it has such parameters. */
  private async openTrimmed(
    link: string,
    evidence: Evidence,
    catalogue: ServiceCatalogue,
    stop: AbortSignal,
  ): Promise<AccessCheck['trimmed']> {
    const trimmed = trimLink(link, catalogue);
    return trimmed && { ...trimmed, same: samePage(evidence, await this.browser.open(trimmed.link, stop), catalogue) };
  }

  /** Verdict and what was learnt become visible together; a check that was stopped or taken over meanwhile changes nothing. */
  private async finish(
    { check, run }: { readonly check: AccessCheck; readonly run: JobRun },
    evidence: Evidence,
    { verdict, reasons }: Judgement,
    more: Pick<AccessCheck, 'trimmed' | 'picture' | 'pictureBytes'>,
  ): Promise<void> {
    const result = {
      state: 'done' as const,
      finishedAt: this.clock.now(),
      verdict,
      reasons: reasons.map(({ reason, detail }) => ({ reason, detail: detail.slice(0, detailLength) })),
      evidence,
      ...more,
    };
    const seen = verdict === 'open' || verdict === 'open-editable' || verdict === 'partial';
    const page = seen && check.material ? pageOf(evidence) : null;
    const learnt = page && check.material ? learnFromPage(check.material, page) : null;
    await retryingDeadlocks(() =>
      this.checks.manager.transaction(async (manager) => {
        if (!(await run.holds(manager))) return;
        await manager.update(AccessCheck, { id: check.id }, result);
        await learnt?.(manager, check.link);
      }),
    );
  }
}

function holderOf({ material, link }: AccessCheck, catalogue: ServiceCatalogue): Holder | null {
  if (isFolder(link, catalogue)) return 'folder';
  return material?.kind === 'folder' || material?.kind === 'written-page' ? material.kind : null;
}

/** What only the page itself could tell. */
function pageOf({ final }: Evidence): LearntPage {
  return {
    title: final?.page?.title.normalize('NFC').slice(0, limits.titleLength) ?? '',
    kind: kindOfFile(final?.contentType ?? ''),
  };
}

function kindOfFile(contentType: string): MaterialKind | null {
  if (contentType === 'application/pdf') return 'document';
  if (contentType.startsWith('audio/')) return 'audio';
  return contentType.startsWith('video/') ? 'video' : null;
}
