/** The only place where the server asks for the time. */
export abstract class Clock {
  abstract now(): Date;
}

export class SystemClock extends Clock {
  now(): Date {
    return new Date();
  }
}

/** For tests: stands still until it is moved. */
export class StandingClock extends Clock {
  constructor(private time = new Date('2026-11-20T09:00:00.000Z')) {
    super();
  }

  now(): Date {
    return new Date(this.time);
  }

  advance(milliseconds: number): void {
    this.time = new Date(this.time.getTime() + milliseconds);
  }
}
