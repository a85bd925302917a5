/** The four answers of many places at once: what is known of their codes, and what of them hangs on the wall. */
import { Injectable } from '@nestjs/common';
import type { ReadinessView } from '@hapset/contract';
import { paperAnswer } from '@hapset/core';
import type { Place } from '../../lessons/station/place.js';
import { factsNow, printedFacts } from '../../paper/sheet/printed-facts.js';
import { LastSheets } from '../../paper/sheet/last-sheets.js';
import { PlacedCodeService } from '../../reads/placed-code/placed-code.service.js';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';
import type { SheetRecord } from '../../paper/sheet/sheet-record.js';

/** Everything about a material in its place. */
export interface Standing extends PlacedCode {
  readonly readiness: ReadinessView;
}

@Injectable()
export class ReadinessService {
  constructor(
    private readonly codes: PlacedCodeService,
    private readonly sheets: LastSheets,
  ) {}

  /** One standing for each place, in the same order. */
  async list(places: readonly Place[]): Promise<readonly Standing[]> {
    const [codes, sheets] = await Promise.all([this.codes.list(places), this.sheets.list(places)]);
    return codes.map((code, index) => toStanding(code, sheets[index] ?? null));
  }

  /** Of one place. */
  async find(place: Place): Promise<Standing> {
    const [found] = await this.list([place]);
    if (!found) throw new Error('one place has one standing');
    return found;
  }
}

export function toStanding(placed: PlacedCode, lastSheet: SheetRecord | null): Standing {
  const { opens, carries, reads } = placed;
  return { ...placed, readiness: { opens, carries, reads, paper: paperView(placed, lastSheet) } };
}

function paperView(placed: PlacedCode, lastSheet: SheetRecord | null): ReadinessView['paper'] {
  const answer = paperAnswer(lastSheet && printedFacts(lastSheet), factsNow(placed, lastSheet));
  return { ...answer, sizeMm: lastSheet?.sizeMm ?? null, madeAt: lastSheet?.madeAt.toISOString() ?? null };
}
