import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { NightlyBackups } from './nightly-backups.mjs';
import { readBackupSettings } from './settings.mjs';

const write = async (_settings, output) => {
  await new Promise((resolve) => output.end('backup', resolve));
};
const at = (day, time) => new Date(`2026-11-${day}T${time}`);

describe('nightly backups', () => {
  let folder;
  let dataFolder;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'hapset-backups-'));
    dataFolder = mkdtempSync(join(tmpdir(), 'hapset-data-'));
  });
  afterEach(() => {
    for (const each of [folder, dataFolder]) rmSync(each, { recursive: true, force: true });
  });

  const nightly = (more = {}) =>
    new NightlyBackups({ dataFolder }, { backup: { folder, at: '02:30', passphrase: null }, write, ...more });
  const noted = () => JSON.parse(readFileSync(join(dataFolder, 'last-backup.json'), 'utf8'));

  it('are made once a day, when their time has come', async () => {
    expect(await nightly().look(at('04', '02:29:59'))).toBeNull();
    expect(await nightly().look(at('04', '02:30:00'))).toBe('hapset-2026-11-04T023000.tar.gz');
    expect(await nightly().look(at('04', '23:00:00'))).toBeNull();
    expect(await nightly().look(at('05', '03:00:00'))).toBe('hapset-2026-11-05T030000.tar.gz');
    expect(readdirSync(folder)).toEqual(['hapset-2026-11-04T023000.tar.gz', 'hapset-2026-11-05T030000.tar.gz']);
    expect(noted()).toEqual({ madeAt: at('05', '03:00:00').toISOString(), problem: null });
  });

  it('remove what is too old, and nothing of others', async () => {
    writeFileSync(join(folder, 'notes.txt'), '');
    for (let day = 1; day <= 30; day += 1) await nightly().look(at(String(day).padStart(2, '0'), '02:30:00'));
    expect(readdirSync(folder)).toHaveLength(7 + 2 + 1);
    expect(readdirSync(folder)).toContain('notes.txt');
  });

  it('that fail are noted, leave nothing half behind, and are tried again an hour later', async () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const tries = [() => Promise.reject(new Error('no room')), write];
    const failing = nightly({ write: (...given) => tries.shift()(...given) });
    expect(await failing.look(at('04', '02:30:00'))).toBeNull();
    expect(noted()).toMatchObject({ problem: 'no room' });
    expect(readdirSync(folder)).toEqual([]);
    expect(await failing.look(at('04', '03:29:00'))).toBeNull();
    expect(await failing.look(at('04', '03:30:00'))).not.toBeNull();
    quiet.mockRestore();
  });

  it('have settings that are checked before anything starts', () => {
    const file = join(dataFolder, 'passphrase');
    expect(readBackupSettings({})).toEqual({ folder: null, at: null, passphrase: null });
    expect(() => readBackupSettings({ HAPSET_BACKUP_AT: '25:00' })).toThrow('HAPSET_BACKUP_AT');
    expect(() => readBackupSettings({ HAPSET_BACKUP_PASSPHRASE_FILE: file })).toThrow('can');
    writeFileSync(file, 'short\n');
    expect(() => readBackupSettings({ HAPSET_BACKUP_PASSPHRASE_FILE: file })).toThrow('12 characters');
    writeFileSync(file, 'a shell for every crab\nnot this\n');
    expect(readBackupSettings({ HAPSET_BACKUP_PASSPHRASE_FILE: file })).toMatchObject({
      passphrase: 'a shell for every crab',
    });
  });
});
