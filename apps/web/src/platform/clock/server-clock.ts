/**
 * The server's time: a device's own clock may be minutes or years off. Each answer carries the server's time to the
 * second (RFC 9110, 6.6.1); the shortest way there tells it best.
 */

/** Of two readings, this much may be the network's. */
const toleranceMs = 2000;

export class ServerClock {
  private offsetMs = 0;

  constructor(private readonly deviceNow: () => number = Date.now) {}

  /** @param date of the header Date; null if the reply has no such header */
  noteAnswer(date: string | null): void {
    const server = date === null ? NaN : Date.parse(date);
    if (Number.isNaN(server)) return;
    // The header leaves out what is less than a second.
    const offsetMs = server + 500 - this.deviceNow();
    if (Math.abs(offsetMs - this.offsetMs) > toleranceMs)
      this.offsetMs = Math.abs(offsetMs) > toleranceMs ? offsetMs : 0;
  }

  /** Milliseconds since 1970. */
  now = (): number => this.deviceNow() + this.offsetMs;
}

export const serverClock = new ServerClock();
