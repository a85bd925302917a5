/** A school's own server, as `HAPSET_DEMO=0 npm start` starts it, for a journey of its own. */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { isHttps, stackPort } from './journey.js';

const port = stackPort + 5;
const folder = (name: string): string => resolve(`test-output/${name}-${stackPort}`);

export class OwnSchool {
  readonly address = isHttps ? `https://127.0.0.1:${port + 1}` : `http://127.0.0.1:${port}`;
  private child: ChildProcess | null = null;
  private printed = '';

  /** With nothing in it. @returns the setup link, as it was printed */
  async startEmpty(): Promise<string> {
    rmSync(folder('school'), { recursive: true, force: true });
    return this.start('school', /https?:\S+\/setup#[A-Z0-9-]{19}/);
  }

  /** @returns the backup's file */
  backUp(): string {
    const target = folder('backups');
    rmSync(target, { recursive: true, force: true });
    this.run('backup', 'school', target);
    const [file = ''] = readdirSync(target);
    return join(target, file);
  }

  /** Into an empty folder, and starts that one. */
  async startRestored(backup: string): Promise<void> {
    rmSync(folder('restored'), { recursive: true, force: true });
    this.run('restore', 'restored', backup);
    await this.start('restored', /Ctrl\+C stops it/);
  }

  async stop(): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child || child.exitCode !== null) return;
    const ended = once(child, 'exit');
    child.kill('SIGINT');
    await ended;
  }

  private async start(name: string, wanted: RegExp): Promise<string> {
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      env: environmentOf(name),
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.printed = '';
    // It is read to its end: a start that can't write any more would fail.
    child.stdout.on('data', (chunk: Buffer) => (this.printed += chunk.toString()));
    const found = (): string | undefined => wanted.exec(this.printed)?.[0];
    while (child.exitCode === null && found() === undefined)
      await Promise.race([once(child.stdout, 'data'), once(child, 'exit')]);
    const said = found();
    if (said === undefined) throw new Error(`the server did not start:\n${this.printed}`);
    return said;
  }

  private run(command: 'backup' | 'restore', name: string, argument: string): void {
    const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${command}.mjs`, argument], {
      env: environmentOf(name),
      encoding: 'utf8',
    });
    if (status !== 0) throw new Error(`${command} failed:\n${stdout}${stderr}`);
  }
}

/** The folder for temporary files belongs to whoever runs the tests; the server may run as another account. */
function environmentOf(name: string): NodeJS.ProcessEnv {
  const { TMPDIR: _, ...environment } = process.env;
  return {
    ...environment,
    ...(isHttps && { HAPSET_PUBLIC_ADDRESS: `https://127.0.0.1:${port + 1}` }),
    HAPSET_DEMO: '0',
    HAPSET_PORT: String(port),
    HAPSET_DATA: folder(name),
  };
}
