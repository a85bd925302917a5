/**
 * Reads what changed since the last reading, by the database's clock and however long ago that was: a busy server, or a
 * database that was away, delays a reading and loses nothing.
 */
import type { DataSource } from 'typeorm';

/** Changes become visible later than they are dated, when their transaction ends: so far back is read again. */
export const overlapSeconds = 10;

/** A point in time of the database: `YYYY-MM-DD HH:MM:SS.ffffff`. */
export type ChangedSince = string;

export class ChangeReader {
  private since: ChangedSince | null = null;

  /** @param overlap in seconds */
  constructor(
    private readonly dataSource: DataSource,
    private readonly overlap = overlapSeconds,
  ) {}

  /**
   * What fails to be read is read next time.
   * @param read the rows whose `changed_at` is not before `since`; the first time, `since` is as far back as the overlap
   */
  async read<T>(read: (since: ChangedSince) => Promise<T>): Promise<T> {
    const [{ next }] = (await this.dataSource.query(
      "SELECT DATE_FORMAT(NOW(3) - INTERVAL ? SECOND, '%Y-%m-%d %H:%i:%s.%f') AS next",
      [this.overlap],
    )) as [{ next: ChangedSince }];
    const found = await read(this.since ?? next);
    this.since = next;
    return found;
  }

  /** The next reading is a first one again. */
  forget(): void {
    this.since = null;
  }
}
