// A backup each night, while the server runs: where HAPSET_BACKUP_FOLDER and HAPSET_BACKUP_AT say so.
import { createWriteStream, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { backupName, dayOfBackup, outdated } from './backup-rotation.mjs';
import { noteBackup, writeBackup } from './backup-task.mjs';
import { readBackupSettings } from './settings.mjs';

const lookMs = 60_000;
/** What failed is tried again so much later: a disk is not filled by trying. */
const againMs = 3_600_000;

export class NightlyBackups {
  #settings;
  #backup;
  #write;
  #timer = null;
  #running = null;
  #failedAt = null;

  /** @param write makes one; tests put another in its place @throws Trouble for settings that can't be right */
  constructor(settings, { backup = readBackupSettings(), write = writeBackup } = {}) {
    this.#settings = settings;
    this.#backup = backup;
    this.#write = write;
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

  /** Makes today's backup once its time has come. @param {Date} now @returns its name; null where none was made */
  async look(now = new Date()) {
    const { folder, at, passphrase } = this.#backup;
    const name = backupName(now, passphrase !== null);
    const part = join(folder, `${name}.part`);
    const madeAt = now.toISOString();
    try {
      mkdirSync(folder, { recursive: true, mode: 0o700 });
      if (!this.#isDue(now, at, readdirSync(folder))) return null;
      await this.#write(this.#settings, createWriteStream(part, { mode: 0o600 }), passphrase);
      renameSync(part, join(folder, name));
      for (const file of outdated(readdirSync(folder))) rmSync(join(folder, file), { force: true });
      noteBackup(this.#settings, { madeAt, problem: null });
      return name;
    } catch (error) {
      this.#failedAt = now;
      rmSync(part, { force: true });
      noteBackup(this.#settings, { madeAt, problem: error.message });
      console.error(`The nightly backup failed: ${error.message}`);
      return null;
    }
  }

  #isDue(now, at, files) {
    if (this.#failedAt !== null && now - this.#failedAt < againMs) return false;
    const two = (value) => String(value).padStart(2, '0');
    const today = dayOfBackup(backupName(now, false));
    return (
      `${two(now.getHours())}:${two(now.getMinutes())}` >= at && !files.some((file) => dayOfBackup(file) === today)
    );
  }
}
