/** What one check does: opens the link, looks inside where it holds other things, judges, and writes down what was learnt. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { isFolder, judgeAccess, letsIn, samePage, trimLink, type Evidence, type Holder, type Judgement, type MaterialKind, type ServiceCatalogue } from '@hapset/core';
import { In, Repository, type EntityManager } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { Material } from '../material/material.entity.js';
import { SchoolService } from '../school/school.service.js';
import { ServiceDescriptionService } from '../service-description/service-description.service.js';
import { StudentBrowser } from '../student-browser/student-browser.js';
import { AccessCheck } from './access-check.entity.js';
import { lookInside } from './look-inside.js';
import { smallPicture } from './small-picture.js';

const detailLength = 500;

@Injectable()
export class AccessCheckWork {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly browser: StudentBrowser,
    private readonly services: ServiceDescriptionService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  /** Writes nothing when it was stopped. */
  async work(check: AccessCheck, stop: AbortSignal): Promise<void> {
    const catalogue = await this.services.catalogue();
    const { publicAddress } = await this.school.get();
    const opened = await this.browser.openPage(check.link, stop, publicAddress);
    const holder = letsIn(judgeAccess(opened.evidence, catalogue).verdict) ? await this.holderOf(check, catalogue) : null;
    const evidence = holder ? await lookInside(holder, opened, { browser: this.browser, catalogue, publicAddress, stop }) : opened.evidence;
    const judgement = judgeAccess(evidence, catalogue);
    const trimmed = letsIn(judgement.verdict) ? await this.openTrimmed(check.link, evidence, catalogue, stop) : null;
    const picture = letsIn(judgement.verdict) ? await smallPicture(this.browser, evidence, publicAddress, stop) : null;
    if (!stop.aborted) await this.finish(check, evidence, judgement, { trimmed, picture, pictureBytes: picture?.length ?? null });
  }

  private async holderOf({ materialId, link }: AccessCheck, catalogue: ServiceCatalogue): Promise<Holder | null> {
    if (isFolder(link, catalogue)) return 'folder';
    if (materialId === null) return null;
    const material = await this.checks.manager.findOne(Material, { where: { id: materialId }, select: { id: true, kind: true } });
    return material?.kind === 'folder' || material?.kind === 'written-page' ? material.kind : null;
  }

  /** Opens the link without what only counts visitors, where it has such parameters. */
  private async openTrimmed(link: string, evidence: Evidence, catalogue: ServiceCatalogue, stop: AbortSignal): Promise<AccessCheck['trimmed']> {
    const trimmed = trimLink(link, catalogue);
    return trimmed && { ...trimmed, same: samePage(evidence, await this.browser.open(trimmed.link, stop), catalogue) };
  }

  /** Verdict and what was learnt become visible together; a check that was stopped or taken over meanwhile changes nothing. */
  private async finish(check: AccessCheck, evidence: Evidence, { verdict, reasons }: Judgement, more: Pick<AccessCheck, 'trimmed' | 'picture' | 'pictureBytes'>): Promise<void> {
    const told = reasons.map(({ reason, detail }) => ({ reason, detail: detail.slice(0, detailLength) }));
    await this.checks.manager.transaction(async (manager) => {
      const { affected } = await manager.update(
        AccessCheck,
        { id: check.id, state: 'opening', claim: check.claim ?? '' },
        { state: 'done', finishedAt: this.clock.now(), leaseUntil: null, verdict, reasons: told, evidence, ...more },
      );
      const seen = verdict === 'open' || verdict === 'open-editable' || verdict === 'partial';
      if (affected === 1 && seen && check.materialId !== null) await learn(manager, check.materialId, check.link, evidence);
    });
  }
}

/** Title and kind that only the page itself could tell; never over what a person wrote. */
async function learn(manager: EntityManager, id: string, link: string, evidence: Evidence): Promise<void> {
  const where = { id, link };
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
