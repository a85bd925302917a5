/** What a material's code is now: what it carries, its look, its symbol; for many materials with two queries. */
import { Injectable } from '@nestjs/common';
import type { LookChoice } from '@hapset/contract';
import { toCarriable } from '../../gather/material/material-address.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { LookService, type ChosenLook } from '../look/look.service.js';
import { PlannedSymbols, type MaterialCode } from './planned-symbols.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';

export interface PlannedCode {
  readonly code: MaterialCode;
  readonly look: ChosenLook;
}

export interface PlanCodes {
  readonly school: SchoolRecord;
  /** @param lessonLook the lesson's choice; null without one. @param name stands in captions that show the code's name */
  plan(material: MaterialRecord, lessonLook: LookChoice, name: string): PlannedCode;
}

@Injectable()
export class CodePlanner {
  constructor(
    private readonly looks: LookService,
    private readonly symbols: PlannedSymbols,
    private readonly school: SchoolService,
  ) {}

  /** Reads looks and settings once; then plans as many codes as are asked for. */
  async prepare(): Promise<PlanCodes> {
    const [school, findLook] = await Promise.all([this.school.get(), this.looks.finder()]);
    return {
      school,
      plan: (material, lessonLook, name) => {
        const look = findLook(material.look, lessonLook);
        const carriable = toCarriable(material, school);
        const code = this.symbols.plan(carriable, school.timeZone, material.level, { design: look.design, name });
        return { code, look };
      },
    };
  }
}
