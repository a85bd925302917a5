// A backup each night, while the server runs: where HAPSET_BACKUP_FOLDER and HAPSET_BACKUP_AT say so.
import { createWriteStream, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { backupName, dayOfBackup, outdated } from './backup-rotation.mjs';
import { noteBackup, writeBackup } from './backup-task.mjs';
import { readBackupSettings } from './settings.mjs';

const lookMs = 60_000;

export class NightlyBackups {
  #settings;
  #backup;
  #timer = null;
  #running = null;

  constructor(settings, backup = readBackupSettings()) {
    this.#settings = settings;
    this.#backup = backup;
  }

  start() {
    const { folder, at } = this.#backup;
    if (folder !== null && at !== null)
      this.#timer = setInterval(() => (this.#running ??= this.look().finally(() => (this.#running = null))), lookMs);
    return this;
  }

  stop() {
    clearInterval(this.#timer);
  }

  /** Makes today's backup once its time has come. @returns its name; null where none was to be made */
  async look(now = new Date()) {
    const { folder, at, passphrase } = this.#backup;
    const encrypted = passphrase !== null;
    const name = backupName(now, encrypted);
    const time = `${String(now.getHours()).padStart(2, '0')}:${String(now.getMinutes()).padStart(2, '0')}`;
    try {
      mkdirSync(folder, { recursive: true, mode: 0o700 });
      const isMade = readdirSync(folder).some((file) => dayOfBackup(file) === dayOfBackup(name));
      if (isMade || time < at) return null;
      const part = join(folder, `${name}.part`);
      await writeBackup(this.#settings, createWriteStream(part, { mode: 0o600 }), passphrase);
      renameSync(part, join(folder, name));
      for (const file of outdated(readdirSync(folder))) rmSync(join(folder, file), { force: true });
      noteBackup(this.#settings, { madeAt: now.toISOString(), problem: null });
      return name;
    } catch (error) {
      noteBackup(this.#settings, { madeAt: now.toISOString(), problem: error.message });
      console.error(`The nightly backup failed: ${error.message}`);
      return null;
    }
  }
}
