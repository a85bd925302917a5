/** The school's own designs of sheets: kept by staff, made usual by the administrator. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits, type ChangeSheetTemplate, type CreateSheetTemplate, type SheetTemplateView } from '@hapset/contract';
import { accentReads, layoutsOf, type SheetKind } from '@hapset/core';
import { IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { LookPictureService } from '../../code/look/look-picture.service.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { SheetTemplate } from './sheet-template.entity.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Injectable()
export class SheetTemplateService {
  constructor(
    @InjectRepository(SheetTemplate) private readonly templates: Repository<SheetTemplate>,
    private readonly pictures: LookPictureService,
    private readonly clock: Clock,
  ) {}

  async list(who: SignedIn): Promise<readonly SheetTemplateView[]> {
    const rows = await this.templates.find({ where: { removedAt: IsNull() }, order: { name: 'ASC', id: 'ASC' } });
    return rows.map((row) => toView(row, who));
  }

  /** The one that was chosen; without a choice the usual one of that kind. Null for the plain one. @throws ProblemError invalid */
  async choose(kind: SheetKind, id: string | null): Promise<SheetTemplate | null> {
    if (id === null) return this.templates.findOneBy({ kind, usual: true, removedAt: IsNull() });
    const found = await this.templates.findOneBy({ id, kind, removedAt: IsNull() });
    if (!found)
      throw new ProblemError('invalid', 'This template can’t be used here.', {
        fields: [{ field: 'templateId', message: 'does not exist for that kind of sheet' }],
      });
    return found;
  }

  exists(id: string): Promise<boolean> {
    return this.templates.existsBy({ id, removedAt: IsNull() });
  }

  /** @throws ProblemError invalid */
  async create(request: CreateSheetTemplate, who: SignedIn): Promise<SheetTemplateView> {
    if ((await this.templates.countBy({ removedAt: IsNull() })) >= limits.sheetTemplates)
      throw new ProblemError('invalid', 'The school has enough templates.', {
        fields: [{ field: 'name', message: `are ${limits.sheetTemplates} already; remove one first` }],
      });
    const row = {
      id: newId(),
      ...(await this.checked(request, request.kind)),
      kind: request.kind,
      usual: false,
      madeById: who.id,
      version: 1,
      createdAt: this.clock.now(),
      removedAt: null,
    };
    await this.templates.insert(row);
    return toView(await this.require(row.id), who);
  }

  /** @throws ProblemError not-found, not-allowed, invalid, stale */
  async change(id: string, { version, ...request }: ChangeSheetTemplate, who: SignedIn): Promise<SheetTemplateView> {
    const before = await this.require(id);
    mayChange(before, who);
    const { affected } = await this.templates.update(
      { id, version, removedAt: IsNull() },
      { ...(await this.checked(request, before.kind)), version: version + 1 },
    );
    if (affected !== 1) throw stale('template');
    return toView(await this.require(id), who);
  }

  /** Sheets that were made with it stay as they are. @throws ProblemError not-found, not-allowed */
  async remove(id: string, who: SignedIn): Promise<void> {
    mayChange(await this.require(id), who);
    await this.templates.update({ id }, { removedAt: this.clock.now(), usual: false });
  }

  /** At most one of a kind is usual. @throws ProblemError not-found */
  async makeUsual(id: string, usual: boolean, who: SignedIn): Promise<SheetTemplateView> {
    const { kind } = await this.require(id);
    await this.templates.manager.transaction(async (manager) => {
      if (usual) await manager.update(SheetTemplate, { kind }, { usual: false });
      await manager.update(SheetTemplate, { id }, { usual });
    });
    return toView(await this.require(id), who);
  }

  private async require(id: string): Promise<SheetTemplate> {
    const found = await this.templates.findOneBy({ id, removedAt: IsNull() });
    if (!found) throw notFound('template');
    return found;
  }

  private async checked(
    { name, accent, header, layout, footer, labels }: Omit<CreateSheetTemplate, 'kind'>,
    kind: SheetKind,
  ): Promise<Pick<SheetTemplate, 'name' | 'accent' | 'header' | 'layout' | 'footer' | 'labels'>> {
    if (layout !== null && !layoutsOf(kind).includes(layout))
      throw new ProblemError('invalid', 'This kind of sheet does not have that design.', {
        fields: [{ field: 'layout', message: 'does not exist for that kind of sheet' }],
      });
    if (!accentReads(accent))
      throw new ProblemError('invalid', 'Titles in that colour can’t be read.', {
        fields: [{ field: 'accent', message: 'is too pale on white paper' }],
      });
    if (header !== null && !(await this.pictures.exists(header.pictureId)))
      throw new ProblemError('invalid', 'That picture is not here.', {
        fields: [{ field: 'header', message: 'does not exist' }],
      });
    return {
      name,
      accent: accent.toLowerCase(),
      header,
      layout,
      footer: footer.trim(),
      labels: kind === 'label' ? labels : null,
    };
  }
}

/** @throws ProblemError not-allowed */
function mayChange({ madeById }: SheetTemplate, who: SignedIn): void {
  if (madeById !== who.id && who.role !== 'administrator')
    throw new ProblemError('not-allowed', 'A template is changed by who made it, or by the administrator.');
}

function toView(
  { id, name, kind, accent, header, layout, footer, labels, usual, madeById, version }: SheetTemplate,
  who: SignedIn,
): SheetTemplateView {
  const mine = madeById === who.id || who.role === 'administrator';
  return { id, name, kind, accent, header, layout, footer, labels, usual, mine, version };
}
