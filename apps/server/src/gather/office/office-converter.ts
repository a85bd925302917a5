/**
 * Office files as PDF, by LibreOffice where it is installed. It reads what strangers made, so it runs as a process of
 * its own with limits on memory, time and what it may write, a profile that is thrown away, and no way to the network's
 * proxies; what it does not finish in time is ended.
 */
import { spawn } from 'node:child_process';
import { createWriteStream } from 'node:fs';
import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Readable } from 'node:stream';

export interface ConverterLimits {
  readonly timeMs: number;
  readonly memoryBytes: number;
  readonly outputBytes: number;
}
export const converterLimits: ConverterLimits = {
  timeMs: 90_000,
  memoryBytes: 4 * 1024 ** 3,
  outputBytes: 200_000_000,
};

export class OfficeConverter {
  /** @param program null where LibreOffice is not installed */
  constructor(
    readonly program: string | null,
    private readonly limits: ConverterLimits = converterLimits,
  ) {}

  /**
   * Converts, and calls `use` with the local PDF, which is gone afterwards.
   * @throws Error when it is not installed, does not finish in time, or makes no PDF
   */
  async convert(source: Readable, stop: AbortSignal, use: (pdf: string) => Promise<void>): Promise<void> {
    if (this.program === null) throw new Error('LibreOffice is not installed');
    const folder = await mkdtemp(join(tmpdir(), 'hapset-office-'));
    try {
      await pipeline(source, createWriteStream(join(folder, 'given')));
      await this.run(folder, stop);
      const made = (await readdir(folder)).find((name) => name.endsWith('.pdf'));
      if (made === undefined) throw new Error('LibreOffice made no PDF');
      await use(join(folder, made));
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  private async run(folder: string, stop: AbortSignal): Promise<void> {
    const { timeMs, memoryBytes, outputBytes } = this.limits;
    const office = [
      this.program ?? '',
      `-env:UserInstallation=file://${folder}/profile`,
      '--headless',
      '--norestore',
      '--nolockcheck',
      '--convert-to',
      'pdf',
      '--outdir',
      folder,
      join(folder, 'given'),
    ];
    const child = spawn(
      'prlimit',
      [`--as=${memoryBytes}`, `--fsize=${outputBytes}`, `--cpu=${Math.ceil(timeMs / 1000)}`, '--', ...office],
      { detached: true, stdio: 'ignore', env: { PATH: process.env.PATH ?? '', HOME: folder, LANG: 'C.UTF-8' } },
    );
    const end = (): void => {
      // Its whole group: the program is a script that starts another.
      if (child.pid !== undefined) {
        try {
          process.kill(-child.pid, 'SIGKILL');
        } catch {
          // ended by itself just now
        }
      }
    };
    const timer = setTimeout(end, timeMs);
    stop.addEventListener('abort', end, { once: true });
    try {
      await new Promise<void>((resolve, reject) => {
        child.once('error', reject);
        child.once('exit', (code, signal) =>
          code === 0
            ? resolve()
            : reject(new Error(signal ? `LibreOffice was ended after ${timeMs} ms` : `LibreOffice ended with ${code}`)),
        );
      });
    } finally {
      clearTimeout(timer);
      stop.removeEventListener('abort', end);
      end();
    }
  }
}
