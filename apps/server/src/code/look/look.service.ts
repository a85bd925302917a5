/** The school's looks: made by staff, allowed by the administrator, and found for each code. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  limits,
  plainLookChoice,
  type ChangeLook,
  type CreateLook,
  type LookChoice,
  type LookOrigin,
  type LookRules,
  type LooksView,
  type LookView,
} from '@hapset/contract';
import { plainLook, readLook, type LookDesign } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { inUse, notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { Look } from './look.entity.js';
import { LookPictureService } from './look-picture.service.js';
import { toLookView } from './look.view.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** The look that a code has, and who chose it. */
export interface ChosenLook {
  readonly from: LookOrigin;
  /** Null for the plain one. */
  readonly id: string | null;
  readonly name: string | null;
  readonly design: LookDesign;
  readonly allowed: boolean;
}

/** @param material the material's own choice. @param lesson its lesson's; null without one */
export type FindLook = (material: LookChoice, lesson: LookChoice) => ChosenLook;

@Injectable()
export class LookService {
  constructor(
    @InjectRepository(Look) private readonly looks: Repository<Look>,
    private readonly pictures: LookPictureService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  async list(who: SignedIn): Promise<LooksView> {
    const [rows, uses, { defaultLookId, looksMadeBy }] = await Promise.all([
      this.looks.find({ where: { removedAt: IsNull() }, order: { name: 'ASC', id: 'ASC' } }),
      this.uses(),
      this.school.get(),
    ]);
    return {
      looks: rows.map((row) => toLookView(row, who, uses.get(row.id) ?? 0)),
      defaultLookId,
      madeBy: looksMadeBy,
    };
  }

  /** The nearest choice counts: the material's, its lesson's, the school's. What is gone counts for none. */
  async finder(): Promise<FindLook> {
    const [rows, { defaultLookId }] = await Promise.all([
      this.looks.find({ where: { removedAt: IsNull() } }),
      this.school.get(),
    ]);
    const byId = new Map(rows.map((row) => [row.id, row]));
    const plain = (from: LookOrigin): ChosenLook => ({ from, id: null, name: null, design: plainLook, allowed: true });
    return (material, lesson) => {
      for (const [from, choice] of [
        ['material', material],
        ['lesson', lesson],
        ['school', defaultLookId],
      ] as const) {
        if (choice === plainLookChoice) return plain(from);
        const found = choice === null ? undefined : byId.get(choice);
        if (found) return { from, id: found.id, name: found.name, design: found.design, allowed: found.allowed };
      }
      return plain('nobody');
    };
  }

  /** @throws ProblemError not-allowed where the school leaves it to the administrator, invalid */
  async create({ name, design }: CreateLook, who: SignedIn): Promise<LookView> {
    const { looksMadeBy } = await this.school.get();
    if (looksMadeBy === 'administrator' && who.role !== 'administrator')
      throw new ProblemError('not-allowed', 'At this school the administrator makes looks.');
    if ((await this.looks.countBy({ removedAt: IsNull() })) >= limits.looks)
      throw new ProblemError('invalid', `A school has up to ${limits.looks} looks. Remove one that is not used.`, {
        fields: [{ field: 'name', message: 'too many looks' }],
      });
    const row = this.looks.create({
      id: newId(),
      name,
      design: await this.checked(design),
      allowed: true,
      madeById: who.id,
      version: 1,
      createdAt: this.clock.now(),
      removedAt: null,
    });
    await this.looks.insert(row);
    return toLookView(row, who, 0);
  }

  /** @throws ProblemError not-found, not-allowed, invalid, stale */
  async change(id: string, { name, design, version }: ChangeLook, who: SignedIn): Promise<LookView> {
    await this.requireOwn(id, who);
    const { affected } = await this.looks.update(
      { id, version, removedAt: IsNull() },
      { name, design: await this.checked(design), version: version + 1 },
    );
    if (affected !== 1) throw stale('look');
    return this.view(id, who);
  }

  async allow(id: string, allowed: boolean, who: SignedIn): Promise<LookView> {
    await this.require(id);
    await this.looks.update({ id }, { allowed });
    return this.view(id, who);
  }

  /** @throws ProblemError in-use while codes have it by choice, or the school by default */
  async remove(id: string, who: SignedIn): Promise<void> {
    await this.requireOwn(id, who);
    const [uses, { defaultLookId }] = await Promise.all([this.uses(), this.school.get()]);
    if (defaultLookId === id) throw inUse('school', { count: 1 });
    const count = uses.get(id) ?? 0;
    if (count > 0) throw inUse('code', { count });
    await this.looks.update({ id }, { removedAt: this.clock.now() });
  }

  async restore(id: string, who: SignedIn): Promise<void> {
    const row = await this.looks.findOneBy({ id });
    if (!row) throw notFound('look');
    mayChange(row, who);
    await this.looks.update({ id }, { removedAt: null });
  }

  /** @throws ProblemError not-found */
  async changeRules(rules: LookRules, who: SignedIn): Promise<LooksView> {
    if (rules.defaultLookId !== null) await this.require(rules.defaultLookId);
    await this.school.changeLookRules(rules.defaultLookId, rules.madeBy);
    return this.list(who);
  }

  /** Whether a look may be chosen now. @throws ProblemError invalid where it is gone or not allowed */
  async requireChoice(choice: LookChoice): Promise<void> {
    if (choice === null || choice === plainLookChoice) return;
    const found = await this.looks.findOneBy({ id: choice, removedAt: IsNull() });
    if (!found?.allowed)
      throw new ProblemError('invalid', 'This look can’t be chosen.', {
        fields: [{ field: 'look', message: found ? 'is not allowed by the school' : 'does not exist' }],
      });
  }

  private async require(id: string): Promise<Look> {
    const found = await this.looks.findOneBy({ id, removedAt: IsNull() });
    if (!found) throw notFound('look');
    return found;
  }

  private async requireOwn(id: string, who: SignedIn): Promise<void> {
    mayChange(await this.require(id), who);
  }

  private async view(id: string, who: SignedIn): Promise<LookView> {
    return toLookView(await this.require(id), who, (await this.uses()).get(id) ?? 0);
  }

  private async checked(design: unknown): Promise<LookDesign> {
    const read = readLook(design);
    const unfit = (field: string): ProblemError =>
      new ProblemError('invalid', 'This look can’t be kept as it is.', {
        fields: [{ field: `design.${field}`, message: 'can’t be that' }],
      });
    if (!read.ok) throw unfit(read.problem.field);
    const { centre } = read.value;
    if (centre?.kind === 'icon' && iconOf(centre.icon) === null) throw unfit('centre.icon');
    if (centre?.kind === 'picture' && !(await this.pictures.exists(centre.pictureId))) throw unfit('centre.pictureId');
    return read.value;
  }

  /** How many materials and lessons chose each. */
  private async uses(): Promise<ReadonlyMap<string, number>> {
    const rows = (await this.looks.query(
      `SELECT look, COUNT(*) AS uses FROM (SELECT look FROM materials WHERE removed_at IS NULL UNION ALL SELECT look FROM lessons WHERE removed_at IS NULL) AS chosen
       WHERE look IS NOT NULL GROUP BY look`,
    )) as { look: string; uses: string }[];
    return new Map(rows.map(({ look, uses }) => [look, Number(uses)]));
  }
}

/** @throws ProblemError not-allowed */
function mayChange({ madeById }: Look, who: SignedIn): void {
  if (madeById !== who.id && who.role !== 'administrator')
    throw new ProblemError('not-allowed', 'A look is changed by who made it, or by the administrator.');
}
