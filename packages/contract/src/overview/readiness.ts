import type { AccessVerdict, AnswerState, Carry, Grain, LookReason, PaperChange, ScannerAct } from '@hapset/core';

/** The four answers with the figures behind them: what the bench shows. */
export interface ReadinessView {
  readonly opens: {
    readonly state: AnswerState;
    /** True while a check waits or runs. */
    readonly opening: boolean;
    /** Null for words and before the first check. */
    readonly verdict: AccessVerdict | null;
    readonly checkedAt: string | null;
    /** True where the last check is too old to rely on. */
    readonly stale: boolean;
    /** How many steps mend it; 0 where nothing is to be mended. */
    readonly steps: number;
    readonly inTheCode: boolean;
    /** Its short link does not lead on then: when the lesson begins, or now without one. */
    readonly closed: boolean;
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
