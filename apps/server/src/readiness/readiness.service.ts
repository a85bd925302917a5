/** Collects what is known about many places at once, in a handful of queries, for bench, shelf and material page. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CodeView, DeviceView, ReadinessView, RehearsalView } from '@hapset/contract';
import type { SymbolPlan } from '@hapset/core';
import { In, Repository } from 'typeorm';
import type { AccessCheck } from '../access-check/access-check.entity.js';
import { AccessCheckService } from '../access-check/access-check.service.js';
import { DeviceService } from '../device/device.service.js';
import { toDeviceView } from '../device/device.view.js';
import { Rehearsal } from '../rehearsal/rehearsal.entity.js';
import { SchoolClassService } from '../school-class/school-class.service.js';
import { SchoolService } from '../school/school.service.js';
import type { Sheet } from '../sheet/sheet.entity.js';
import { LastSheets } from '../sheet/last-sheets.js';
import { toCarriable } from '../material/material-address.js';
import { PlannedSymbols } from '../symbol/planned-symbols.js';
import { planPrint, toReadinessView, toRehearsalView, type Place, type StandingFacts } from './standing.js';

/** Everything about a material in its place. */
export interface Standing {
  readonly place: Place;
  readonly plan: SymbolPlan | null;
  readonly code: CodeView | null;
  readonly payload: string;
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
    private readonly sheets: LastSheets,
    private readonly checks: AccessCheckService,
    private readonly classes: SchoolClassService,
    private readonly devices: DeviceService,
    private readonly school: SchoolService,
    private readonly symbols: PlannedSymbols,
  ) {}

  /** One standing for each place, in the same order. */
  async of(places: readonly Place[]): Promise<readonly Standing[]> {
    if (places.length === 0) return [];
    const [{ paper, timeZone, publicAddress }, devicesOf, checks, sheets] = await Promise.all([
      this.school.get(),
      this.devicesByClass(places),
      this.checks.lastOf(places.map((place) => place.material)),
      this.sheets.of(places),
    ]);
    const prepared = places.map((place, index) => {
      const code = this.symbols.of(toCarriable(place.material, publicAddress), timeZone);
      const devices = devicesOf(place.lesson?.classId ?? null);
      const lastSheet = sheets[index] ?? null;
      const print = planPrint(place, code, devices, paper);
      const sizeNowMm = lastSheet && lastSheet.paper !== paper ? planPrint(place, code, devices, lastSheet.paper).sizeMm : print.sizeMm;
      return { place, code, print, lastSheet, sizeNowMm };
    });
    const rehearsals = await this.rehearsals.findBy({ rehearsalKey: In(prepared.map(({ print }) => print.rehearsalKey)), materialId: In(places.map((place) => place.material.id)) });
    return prepared.map((known) => {
      const { material } = known.place;
      const rehearsal = rehearsals.find((row) => row.rehearsalKey === known.print.rehearsalKey && row.materialId === material.id) ?? null;
      return toStanding({ ...known, rehearsal, checks: checks.get(material.id) ?? { done: null, pending: null, steps: 0 } });
    });
  }

  /** A class's devices, or all of the school's where a lesson has no class or its class no devices. */
  private async devicesByClass(places: readonly Place[]): Promise<(classId: string | null) => readonly DeviceView[]> {
    const ids = [...new Set(places.flatMap((place) => place.lesson?.classId ?? []))];
    const [all, classes] = await Promise.all([this.devices.list(), this.classes.byIds(ids)]);
    const views = all.map(toDeviceView);
    const chosen = new Map(classes.map((schoolClass) => [schoolClass.id, new Set(schoolClass.devices.map((device) => device.id))]));
    return (classId) => {
      const own = classId === null ? undefined : chosen.get(classId);
      return own && own.size > 0 ? views.filter((device) => own.has(device.id)) : views;
    };
  }
}

function toStanding(facts: StandingFacts): Standing {
  const { code, checks, place, lastSheet } = facts;
  return {
    place,
    plan: code.plan,
    code: code.view,
    payload: code.carried.payload,
    check: checks.done ?? checks.pending,
    opening: checks.pending !== null,
    readiness: toReadinessView(facts),
    rehearsal: toRehearsalView(facts),
    lastSheet,
  };
}
