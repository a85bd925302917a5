import type { ArrivalView } from '../school/arrival.js';

/** How far a school's setup is, by what is there. */
export interface SetupSteps {
  readonly publicAddress: string;
  /** The last phone that came; null while none has. */
  readonly arrival: ArrivalView | null;
  readonly shortLinkHost: string | null;
  /** When the test page was last made; null before. */
  readonly printerTestedAt: string | null;
  readonly devices: number;
  /** Accounts that are used, beside one's own. */
  readonly colleagues: number;
  readonly students: number;
  readonly services: number;
}
