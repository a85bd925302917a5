/** Collects what is known about many places at once, in a handful of queries, for bench, shelf and material page. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CodeLookView, CodeView, DeviceView, ReadinessView, RehearsalView } from '@hapset/contract';
import {
  instantOf,
  isAlwaysOpen,
  type LookJudgement,
  type Opening,
  type StudentAccounts,
  type SymbolPlan,
} from '@hapset/core';
import { In, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import type { Lesson } from '../../lessons/lesson/lesson.entity.js';
import type { AccessCheck } from '../../opens/access-check/access-check.entity.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import { LookService, type ChosenLook } from '../../code/look/look.service.js';
import { DeviceService } from '../../school/device/device.service.js';
import { toDeviceView } from '../../school/device/device.view.js';
import { Rehearsal } from '../../reads/rehearsal/rehearsal.entity.js';
import { SchoolClassService } from '../../school/school-class/school-class.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import type { Sheet } from '../../paper/sheet/sheet.entity.js';
import { LastSheets } from '../../paper/sheet/last-sheets.js';
import { toCarriable } from '../../gather/material/material-address.js';
import { ShortLink } from '../../code/short-link/short-link.entity.js';
import { PlannedSymbols } from '../../code/symbol/planned-symbols.js';
import {
  lookStanding,
  planPrint,
  toReadinessView,
  toRehearsalView,
  type Place,
  type StandingFacts,
} from './standing.js';

/** Everything about a material in its place. */
export interface Standing {
  readonly place: Place;
  readonly plan: SymbolPlan | null;
  readonly code: CodeView | null;
  readonly payload: string;
  readonly look: CodeLookView;
  /** The last finished check, or the one that runs when there is none. */
  readonly check: AccessCheck | null;
  readonly opening: boolean;
  readonly readiness: ReadinessView;
  readonly rehearsal: RehearsalView;
  readonly lastSheet: Sheet | null;
}

@Injectable()
export class ReadinessService {
  constructor(
    @InjectRepository(Rehearsal) private readonly rehearsals: Repository<Rehearsal>,
    @InjectRepository(ShortLink) private readonly shortLinks: Repository<ShortLink>,
    private readonly sheets: LastSheets,
    private readonly checks: AccessCheckService,
    private readonly classes: SchoolClassService,
    private readonly devices: DeviceService,
    private readonly school: SchoolService,
    private readonly looks: LookService,
    private readonly symbols: PlannedSymbols,
    private readonly clock: Clock,
  ) {}

  /** One standing for each place, in the same order. */
  async of(places: readonly Place[]): Promise<readonly Standing[]> {
    if (places.length === 0) return [];
    const [school, lookOf, classOf, checks, sheets, openings] = await Promise.all([
      this.school.get(),
      this.looks.finder(),
      this.classesOf(places),
      this.checks.lastOf(places.map((place) => place.material)),
      this.sheets.of(places),
      this.openingsOf(places),
    ]);
    const { paper, timeZone } = school;
    const now = this.clock.now();
    const prepared = places.map((place, index) => {
      const look = lookOf(place.material.look, place.lesson?.look ?? null);
      const code = this.symbols.of(toCarriable(place.material, school), timeZone, place.material.level, {
        design: look.design,
        name: place.station?.name ?? place.material.title,
      });
      const { devices, accounts } = classOf(place.lesson?.classId ?? null);
      const lastSheet = sheets[index] ?? null;
      const print = planPrint(place, code, devices, paper, look.design);
      const sizeNowMm =
        lastSheet && lastSheet.content.more === undefined && lastSheet.paper !== paper
          ? planPrint(place, code, devices, lastSheet.paper, look.design).sizeMm
          : print.sizeMm;
      const opening = code.carried.carry === 'short-link' ? (openings.get(place.material.id) ?? null) : null;
      return {
        place,
        code,
        look,
        opening,
        timeZone,
        print,
        lastSheet,
        sizeNowMm,
        accounts,
        now,
        lessonAt: place.lesson ? beginOf(place.lesson, timeZone) : null,
      };
    });
    // The same code at the same size is the same rehearsal, whichever of its owner's materials it was made for.
    const rehearsals = await this.rehearsals.find({
      where: {
        rehearsalKey: In(prepared.map(({ print }) => print.rehearsalKey)),
        material: { ownerId: In(places.map((place) => place.material.ownerId)) },
      },
      relations: { material: true },
      select: { material: { id: true, ownerId: true } },
      order: { rehearsedAt: 'DESC' },
    });
    return prepared.map((known) => {
      const { material } = known.place;
      const rehearsal =
        rehearsals.find(
          (row) => row.rehearsalKey === known.print.rehearsalKey && row.material.ownerId === material.ownerId,
        ) ?? null;
      return toStanding({
        ...known,
        rehearsal,
        checks: checks.get(material.id) ?? { done: null, pending: null, steps: 0 },
      });
    });
  }

  /** Of short links that are not always open, by material. */
  private async openingsOf(places: readonly Place[]): Promise<ReadonlyMap<string, Opening>> {
    const ids = places.filter(({ material }) => material.carry === 'short-link').map(({ material }) => material.id);
    const links = ids.length === 0 ? [] : await this.shortLinks.findBy({ materialId: In(ids) });
    return new Map(
      links.flatMap(({ materialId, opening }) =>
        materialId === null || isAlwaysOpen(opening) ? [] : [[materialId, opening] as const],
      ),
    );
  }

  /** A class's accounts and its devices, or all of the school's where a lesson has no class or its class no devices. */
  private async classesOf(places: readonly Place[]): Promise<(classId: string | null) => KnownClass> {
    const ids = [...new Set(places.flatMap((place) => place.lesson?.classId ?? []))];
    const [all, classes] = await Promise.all([this.devices.list(), this.classes.byIds(ids)]);
    const views = all.map(toDeviceView);
    const known = new Map(
      classes.map((schoolClass) => [
        schoolClass.id,
        { accounts: schoolClass.studentAccounts, own: new Set(schoolClass.devices.map((device) => device.id)) },
      ]),
    );
    return (classId) => {
      const found = classId === null ? undefined : known.get(classId);
      return {
        accounts: found?.accounts ?? 'none',
        devices: found && found.own.size > 0 ? views.filter((device) => found.own.has(device.id)) : views,
      };
    };
  }
}

function toCodeLook({ from, id, name, design, allowed }: ChosenLook, judgement: LookJudgement | null): CodeLookView {
  return { from, id, name, design, judgement: judgement && { ...judgement, ...lookStanding(judgement, allowed) } };
}

interface KnownClass {
  readonly accounts: StudentAccounts;
  readonly devices: readonly DeviceView[];
}

/** A lesson without a time of day begins with the day. */
function beginOf({ date, startsAt }: Lesson, timeZone: string): number | null {
  return date === null ? null : instantOf(date, startsAt ?? '00:00', timeZone);
}

function toStanding(facts: StandingFacts): Standing {
  const { code, checks, place, lastSheet } = facts;
  return {
    place,
    plan: code.plan,
    code: code.view,
    payload: code.carried.payload,
    look: toCodeLook(facts.look, code.judgement),
    check: checks.done ?? checks.pending,
    opening: checks.pending !== null,
    readiness: toReadinessView(facts),
    rehearsal: toRehearsalView(facts),
    lastSheet,
  };
}
