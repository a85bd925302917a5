import type {
  AccessVerdict,
  AnswerState,
  Carry,
  Grain,
  LookReason,
  MediaFormat,
  Obstacle,
  PaperChange,
  ScannerAct,
  VerdictReason,
} from '@hapset/core';
import type { PersonAnswerView } from '../opens/access-check.js';

/** The four answers with the figures behind them: what the bench shows. */
export interface ReadinessView {
  readonly opens: {
    readonly state: AnswerState;
    /** True while a check waits or runs, also in a browser. */
    readonly opening: boolean;
    /** True while the plain check has ended and a browser has not. */
    readonly viewing: boolean;
    /** Id of the last check, where it has a picture of what students see; null otherwise. */
    readonly viewId: string | null;
    /** Null for words and before the first check. */
    readonly verdict: AccessVerdict | null;
    /** What decided it; null before the first check. */
    readonly reason: VerdictReason | null;
    readonly checkedAt: string | null;
    /** True where the last check is too old to rely on. */
    readonly stale: boolean;
    /** How many steps are known to open it; 0 where none is known, or none is needed. */
    readonly steps: number;
    readonly inTheCode: boolean;
    /** What keeps students out when the lesson begins, or now without one, although the material is fine. */
    readonly obstacle: Obstacle | null;
    /** Its sound or film is in a format that some devices don't play. `by`: their names, none where no device is known. */
    readonly unplayed: { readonly formats: readonly MediaFormat[]; readonly by: readonly string[] } | null;
    /** A person's answer, where it decides. */
    readonly answer: PersonAnswerView | null;
    /** What a person said of another page that was there before; null where that is still it. */
    readonly answerBefore: PersonAnswerView | null;
  };
  readonly carries: {
    readonly state: AnswerState;
    readonly carry: Carry;
    /** The following are null when no code can hold it. */
    readonly grain: Grain | null;
    readonly modules: number | null;
    /** What a scanner must act on; null for words, which are to be read. */
    readonly act: ScannerAct | null;
    /** Names of the class's devices whose scanners show it as text and do nothing. */
    readonly ignoredBy: readonly string[];
  };
  readonly reads: {
    readonly state: AnswerState;
    readonly leastReachM: number | null;
    readonly distanceM: number;
    readonly devices: number;
    /** Names of the devices that don't reach the distance. */
    readonly fallShort: readonly string[];
    /** Names of real devices that did not read it when they were tried, or read something else; null for an unnamed one. */
    readonly failed: readonly (string | null)[];
    /** What its look leaves to be desired, worst first. */
    readonly look: readonly LookReason[];
  };
  readonly paper: {
    readonly state: AnswerState;
    readonly changed: readonly PaperChange[];
    readonly sizeMm: number | null;
    readonly madeAt: string | null;
  };
}
