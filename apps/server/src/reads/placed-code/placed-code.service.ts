/** What is known of many codes in their places up to whether they read: for everything above, in a handful of queries. */
import { Injectable } from '@nestjs/common';
import { instantOf, type PaperFormat } from '@hapset/core';
import { ShortLinkService } from '../../code/short-link/short-link.service.js';
import { CodePlanner } from '../../code/symbol/code-planner.js';
import type { Place } from '../../lessons/station/place.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import { Clock } from '../../platform/clock/clock.js';
import { ClassEquipment } from '../../school/school-class/class-equipment.js';
import { type CodeFacts } from './answers.js';
import { ReadingEvidence } from './reading-evidence.js';
import { planPrint } from './print-plan.js';
import { toPlacedCode, type PlacedCode } from './placed-code.js';
import type { LessonRecord } from '../../lessons/lesson/lesson-record.js';

@Injectable()
export class PlacedCodeService {
  constructor(
    private readonly codes: CodePlanner,
    private readonly equipment: ClassEquipment,
    private readonly checks: AccessCheckService,
    private readonly shortLinks: ShortLinkService,
    private readonly reading: ReadingEvidence,
    private readonly clock: Clock,
  ) {}

  /** One for each place, in the same order. */
  async list(places: readonly Place[]): Promise<readonly PlacedCode[]> {
    if (places.length === 0) return [];
    const materials = places.map((place) => place.material);
    const [{ school, plan }, equipmentOf, checks, openings] = await Promise.all([
      this.codes.prepare(),
      this.equipment.find(places.flatMap((place) => place.lesson?.classId ?? [])),
      this.checks.lastOf(materials),
      this.shortLinks.findOpenings(materials),
    ]);
    const { paper, timeZone } = school;
    const now = this.clock.now();
    const planned = places.map((place) => {
      const { material, lesson, station } = place;
      const { code, look } = plan(material, lesson?.look ?? null, station?.name ?? material.title);
      const { devices, accounts } = equipmentOf(lesson?.classId ?? null);
      const printOn = (format: PaperFormat) => planPrint(place, code, { devices, paper: format, look: look.design });
      const opening = code.carried.carry === 'short-link' ? (openings.get(material.id) ?? null) : null;
      const lessonAt = lesson ? beginOf(lesson, timeZone) : null;
      const print = printOn(paper);
      const codeNow = {
        materialId: material.id,
        ownerId: material.ownerId,
        payload: code.carried.payload,
        rehearsalKey: print.rehearsalKey,
        shapeKey: print.shapeKey,
      };
      return { place, code, look, opening, timeZone, print, printOn, codeNow, accounts, now, lessonAt };
    });
    const readSoFar = await this.reading.find(planned.map(({ codeNow }) => codeNow));
    return planned.map(({ printOn, codeNow, ...known }) => {
      const facts: CodeFacts = {
        ...known,
        ...readSoFar(codeNow),
        checks: checks.get(codeNow.materialId) ?? { done: null, pending: null, steps: 0, answer: null },
      };
      return toPlacedCode(facts, school, (format) => printOn(format).sizeMm);
    });
  }

  /** Of one place. */
  async find(place: Place): Promise<PlacedCode> {
    const [found] = await this.list([place]);
    if (!found) throw new Error('one place has one code');
    return found;
  }
}

/** A lesson without a time of day begins with the day. */
function beginOf({ date, startsAt }: LessonRecord, timeZone: string): number | null {
  return date === null ? null : instantOf(date, startsAt ?? '00:00', timeZone);
}
