/** What one check does: opens the link, looks inside where it holds other things, judges, and writes down what was learnt. */
import { limits } from '@hapset/contract';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  isFolder,
  isUnproven,
  judgeAccess,
  labelledLinks,
  letsIn,
  samePage,
  trimLink,
  type Evidence,
  type Judgement,
  type Kept,
  type MaterialKind,
  type ServiceCatalogue,
} from '@hapset/core';
import { Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { KeptFactsService } from '../../gather/file/kept-facts.service.js';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { AccessCheck } from './access-check.entity.js';
import { lookInside } from './look-inside.js';
import { CheckSurroundings, type Surroundings } from './check-surroundings.js';
import { SmallPicture } from './small-picture.js';
import { learnFromPage, type LearntPage } from '../../gather/material/learn-from-page.js';

const detailLength = 500;

/** What one opening found out, before it is written down. */
interface Outcome {
  readonly evidence: Evidence;
  readonly judgement: Judgement;
  readonly trimmed: AccessCheck['trimmed'];
  readonly picture: Buffer | null;
}

@Injectable()
export class AccessCheckWork {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly browser: StudentBrowser,
    private readonly pictures: SmallPicture,
    private readonly keptFacts: KeptFactsService,
    private readonly surroundings: CheckSurroundings,
    private readonly clock: Clock,
  ) {}

  /** Writes nothing when it was stopped. @param check with its material */
  async work(check: AccessCheck, run: JobRun): Promise<void> {
    const around = await this.surroundings.read();
    const kept = check.material?.kept ?? null;
    const outcome = kept
      ? await this.lookAtKept(check.link, kept, around, run.stop)
      : await this.openLink(check, around, run.stop);
    if (!run.stop.aborted) await this.finish({ check, run }, outcome);
  }

  /** What is kept here is known; only what its page links to is opened. */
  private async lookAtKept(link: string, kept: Kept, around: Surroundings, stop: AbortSignal): Promise<Outcome> {
    const facts = await this.keptFacts.find(kept);
    const known: Evidence = { asked: link, hops: [], ending: 'answered', final: null, elapsedMs: 0, kept: facts };
    const links = kept.kind === 'written-page' ? labelledLinks(kept.document) : [];
    const evidence =
      links.length === 0
        ? known
        : await lookInside(
            'written-page',
            { evidence: known, links: links.map((link) => ({ ...link, inMenu: false })) },
            { browser: this.browser, ...around, stop },
          );
    const judgement = judgeAccess(evidence, around.catalogue);
    const picture = letsIn(judgement.verdict) ? await this.pictures.ofKept(kept) : null;
    return { evidence, judgement, trimmed: null, picture };
  }

  private async openLink(check: AccessCheck, around: Surroundings, stop: AbortSignal): Promise<Outcome> {
    const { catalogue, publicAddress } = around;
    const opened = await this.browser.openPage(check.link, stop, publicAddress);
    const outside = judgeAccess(opened.evidence, catalogue);
    // A folder may say little itself: what is in it proves that it opens.
    const mayOpen = letsIn(outside.verdict) || isUnproven(outside.reasons);
    const isHolder = mayOpen && holdsOthers(check, catalogue);
    const evidence = isHolder
      ? await lookInside('folder', opened, { browser: this.browser, ...around, stop })
      : opened.evidence;
    const judgement = isHolder ? judgeAccess(evidence, catalogue) : outside;
    if (!letsIn(judgement.verdict)) return { evidence, judgement, trimmed: null, picture: null };
    const trimmed = await this.openTrimmed(check.link, evidence, catalogue, stop);
    return { evidence, judgement, trimmed, picture: await this.pictures.ofPage(evidence, publicAddress, stop) };
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
    { evidence, judgement: { verdict, reasons }, trimmed, picture }: Outcome,
  ): Promise<void> {
    const result = {
      state: 'done' as const,
      finishedAt: this.clock.now(),
      verdict,
      reasons: reasons.map(({ reason, detail }) => ({ reason, detail: detail.slice(0, detailLength) })),
      evidence,
      trimmed,
      picture,
      pictureBytes: picture?.length ?? null,
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

function holdsOthers({ material, link }: AccessCheck, catalogue: ServiceCatalogue): boolean {
  return isFolder(link, catalogue) || material?.kind === 'folder';
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
