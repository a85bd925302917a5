/** A phone that reached this server. */
export interface ArrivalView {
  /** ISO 8601. */
  readonly arrivedAt: string;
  /** Scheme and host by which it came: "https://hapset.school.example". */
  readonly address: string;
  /** "Safari on iOS"; empty where the browser does not say. */
  readonly device: string;
}

/** For the code that a phone scans: `/p/arrivals/` and this, behind the address that is tried. */
export interface ArrivalMade {
  readonly token: string;
}

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
