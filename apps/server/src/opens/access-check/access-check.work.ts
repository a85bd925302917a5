/** What one check does: opens the link, looks inside where it holds other things, and judges. */
import { Injectable } from '@nestjs/common';
import {
  isUnproven,
  judgeAccess,
  labelledLinks,
  letsIn,
  samePage,
  trimLink,
  type Evidence,
  type Kept,
  type ServiceCatalogue,
} from '@hapset/core';
import type { JobRun } from '../../platform/queue/job-kind.js';
import { KeptFactsService } from '../../gather/file/kept-facts.service.js';
import { StudentBrowser } from '../student-browser/student-browser.js';
import type { AccessCheck } from './access-check.entity.js';
import { CheckResults, type Outcome } from './check-results.js';
import { holdsOthers, withTeacherSaw } from './learnt-from.js';
import { lookInside, openingPlainly } from './look-inside.js';
import { CheckSurroundings, type Surroundings } from './check-surroundings.js';
import { SmallPicture } from './small-picture.js';

@Injectable()
export class AccessCheckWork {
  constructor(
    private readonly browser: StudentBrowser,
    private readonly pictures: SmallPicture,
    private readonly keptFacts: KeptFactsService,
    private readonly surroundings: CheckSurroundings,
    private readonly results: CheckResults,
  ) {}

  /** Writes nothing when it was stopped. @param check with its material */
  async work(check: AccessCheck, run: JobRun): Promise<void> {
    const around = await this.surroundings.read();
    const kept = check.material?.kept ?? null;
    const outcome = kept
      ? await this.lookAtKept(check.link, kept, around, run.stop)
      : await this.openLink(check, around, run.stop);
    if (!run.stop.aborted) await this.results.finish({ check, run }, outcome);
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
            openingPlainly(this.browser, around, stop),
          );
    const judgement = judgeAccess(evidence, around.catalogue);
    const picture = letsIn(judgement.verdict) ? await this.pictures.ofKept(kept) : null;
    return { evidence, judgement, trimmed: null, picture };
  }

  private async openLink(check: AccessCheck, around: Surroundings, stop: AbortSignal): Promise<Outcome> {
    const { catalogue, publicAddress } = around;
    const opened = withTeacherSaw(check, await this.browser.openPage(check.link, stop, publicAddress));
    const outside = judgeAccess(opened.evidence, catalogue);
    // A folder may say little itself: what is in it proves that it opens.
    const mayOpen = letsIn(outside.verdict) || isUnproven(outside.reasons);
    const isHolder = mayOpen && holdsOthers(check, catalogue);
    const evidence = isHolder
      ? await lookInside('folder', opened, openingPlainly(this.browser, around, stop))
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
}
