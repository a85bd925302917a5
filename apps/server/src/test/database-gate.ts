/** Stands between a server and the database, and can be shut: to the server the database is away then. */
import { mkdtempSync, rmSync } from 'node:fs';
import { createConnection, createServer, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

export class DatabaseGate {
  private readonly open = new Set<Socket>();
  private server: Server | null = null;

  private constructor(
    /** Where the server finds its database. */
    readonly socket: string,
    private readonly behind: string,
  ) {}

  static async start(behind: string): Promise<DatabaseGate> {
    const gate = new DatabaseGate(join(mkdtempSync(join(tmpdir(), 'hapset-gate-')), 'db.sock'), behind);
    await gate.restore();
    return gate;
  }

  /** Ends every connection and takes no other. */
  async shut(): Promise<void> {
    const { server } = this;
    this.server = null;
    if (server) await new Promise<void>((resolve) => (server.close(() => resolve()), this.endAll()));
  }

  async restore(): Promise<void> {
    this.server = createServer((near) => {
      const far = createConnection(this.behind);
      for (const end of [near, far]) {
        this.open.add(end);
        end.on('error', () => undefined).on('close', () => (this.open.delete(end), near.destroy(), far.destroy()));
      }
      near.pipe(far).pipe(near);
    });
    await new Promise<void>((resolve) => this.server?.listen(this.socket, resolve));
  }

  async stop(): Promise<void> {
    await this.shut();
    rmSync(dirname(this.socket), { recursive: true, force: true });
  }

  private endAll(): void {
    for (const end of this.open) end.destroy();
  }
}
