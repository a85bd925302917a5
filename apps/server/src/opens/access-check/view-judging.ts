/** Sees the page of a check as a student does, and what it holds, and judges again by what is seen. */
import { Injectable } from '@nestjs/common';
import {
  judgeAccess,
  labelledLinks,
  mayBeRejudged,
  wantsDrawing,
  withDrawn,
  type Evidence,
  type Judgement,
  type PageLink,
} from '@hapset/core';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { StudentViews, type StudentView } from '../student-view/student-views.js';
import type { AccessCheck } from './access-check.entity.js';
import type { Outcome } from './check-results.js';
import { CheckSurroundings, type Surroundings } from './check-surroundings.js';
import { holdsOthers } from './learnt-from.js';
import { lookInside, type LookingInside, type OpenedItem } from './look-inside.js';

type Found = Pick<Outcome, 'evidence' | 'judgement'>;

export interface SeenByStudent {
  /** Null where nothing could be seen. */
  readonly found: Found | null;
  readonly picture: Buffer | null;
}

@Injectable()
export class ViewJudging {
  constructor(
    private readonly views: StudentViews,
    private readonly browser: StudentBrowser,
    private readonly surroundings: CheckSurroundings,
  ) {}

  /** @returns null where this server has no browser */
  async see(check: AccessCheck, plain: Evidence, stop: AbortSignal): Promise<SeenByStudent | null> {
    const around = await this.surroundings.read();
    if (plain.kept) return { found: await this.lookIntoKept(check, plain, around, stop), picture: null };
    const view = await this.views.see(check.link, around.ownAddresses, stop);
    return view && { found: await this.judge(check, { ...view, plain }, around, stop), picture: view.picture };
  }

  private async judge(
    check: AccessCheck,
    { drawn, links, plain }: StudentView & { readonly plain: Evidence },
    around: Surroundings,
    stop: AbortSignal,
  ): Promise<Found | null> {
    if (!drawn) return null;
    const before: Judgement = { verdict: check.verdict ?? 'unknown', reasons: check.reasons ?? [] };
    const seen = withDrawn(plain, drawn);
    if (!mayBeRejudged(before)) return { evidence: { ...plain, drawn: seen.drawn }, judgement: before };
    const evidence = holdsOthers(check, around.catalogue)
      ? await lookInside('folder', { evidence: seen, links }, this.lookingInside(around, stop))
      : seen;
    return { evidence, judgement: judgeAccess(evidence, around.catalogue) };
  }

  /** A page that is written here needs no browser, but what it links to may. */
  private async lookIntoKept(
    { material }: AccessCheck,
    plain: Evidence,
    around: Surroundings,
    stop: AbortSignal,
  ): Promise<Found | null> {
    const kept = material?.kept;
    if (kept?.kind !== 'written-page') return null;
    const links: readonly PageLink[] = labelledLinks(kept.document).map((link) => ({ ...link, inMenu: false }));
    const evidence = await lookInside('written-page', { evidence: plain, links }, this.lookingInside(around, stop));
    return { evidence, judgement: judgeAccess(evidence, around.catalogue) };
  }

  private lookingInside(around: Surroundings, stop: AbortSignal): LookingInside {
    return { open: (address) => this.openItem(address, around, stop), ...around, stop };
  }

  /** In a browser too, where nothing can be told without one. */
  private async openItem(address: string, around: Surroundings, stop: AbortSignal): Promise<OpenedItem> {
    const { catalogue, publicAddress, ownAddresses } = around;
    const { evidence, links } = await this.browser.openPage(address, stop, publicAddress);
    const judgement = judgeAccess(evidence, catalogue);
    if (stop.aborted || !wantsDrawing(evidence, judgement, false)) return { verdict: judgement.verdict, links };
    const view = await this.views.see(address, ownAddresses, stop);
    if (!view?.drawn) return { verdict: judgement.verdict, links };
    return { verdict: judgeAccess(withDrawn(evidence, view.drawn), catalogue).verdict, links: view.links };
  }
}
