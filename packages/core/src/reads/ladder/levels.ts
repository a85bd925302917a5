/** The error correction levels that a payload could have, with what each costs: a level chosen by hand is chosen knowingly. */
import { figuresOf, type Printed, type SymbolFigures } from './figures.js';
import { errorCorrectionLevels, type ErrorCorrectionLevel } from '../../code/symbol/versions.js';

/** Share of a symbol's codewords that each level repairs, in percent (ISO/IEC 18004, 6.5.1). */
export const repairedPercent: Readonly<Record<ErrorCorrectionLevel, number>> = { L: 7, M: 15, Q: 25, H: 30 };

/** A level with what it costs and what it survives. */
export interface LevelChoice {
  readonly level: ErrorCorrectionLevel;
  /** Null where no symbol holds the payload at that level. */
  readonly figures: SymbolFigures | null;
}

/** From L to H. */
export function levelChoices(payload: string, printed: Printed): readonly LevelChoice[] {
  return errorCorrectionLevels.map((level) => ({ level, figures: figuresOf(payload, level, printed) }));
}
