import { backupName, dayOfBackup, outdated } from './backup-rotation.mjs';

/** One each night of so many days. */
const nights = (count) =>
  Array.from({ length: count }, (_, index) => backupName(new Date(2026, 10, 1 + index, 2, 30, 0), false));

describe('backups', () => {
  it('are named by day and time, so that they sort', () => {
    expect(backupName(new Date(2026, 10, 4, 2, 5, 9), true)).toBe('hapset-2026-11-04T020509.tar.gz.enc');
    expect(dayOfBackup('hapset-2026-11-04T020509.tar.gz.enc')).toBe('2026-11-04');
    expect(dayOfBackup('holiday.tar.gz')).toBeNull();
  });

  it('stay for seven days and four weeks', () => {
    const files = nights(60);
    const gone = new Set(outdated(files));
    const kept = files.filter((file) => !gone.has(file)).map(dayOfBackup);
    // 30 December is a Wednesday: seven nights up to it, and the Sundays of the weeks before.
    expect(kept).toEqual([
      '2026-12-13',
      '2026-12-20',
      '2026-12-24',
      '2026-12-25',
      '2026-12-26',
      '2026-12-27',
      '2026-12-28',
      '2026-12-29',
      '2026-12-30',
    ]);
  });

  it('of one day leave the last, and files of others are not touched', () => {
    const [first, second] = [new Date(2026, 10, 4, 2, 0, 0), new Date(2026, 10, 4, 3, 0, 0)].map((at) =>
      backupName(at, false),
    );
    expect(outdated([first, second, 'notes.txt'])).toEqual([first]);
    expect(outdated(nights(3))).toEqual([]);
  });
});
