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
