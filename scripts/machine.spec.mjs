import { mkdtempSync, writeFileSync, readFileSync, existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { offerPackages, requireDisk, requireFreePort, requireNode, requirePackages } from './machine.mjs';
import { readSettings } from './settings.mjs';
import { takeLock } from './parts.mjs';

const machineWith = (more) => ({
  freeBytes: () => 10 * 1024 ** 3,
  has: () => true,
  isRoot: () => false,
  hasSudo: () => false,
  run: () => true,
  ...more,
});

describe('what the machine must have', () => {
  it('enough room on the disk', () => {
    expect(() => requireDisk('/', machineWith({}))).not.toThrow();
    expect(() => requireDisk('/', machineWith({ freeBytes: () => 300 * 1024 ** 2 }))).toThrow(
      /Only 0\.3 GB are free.*free some/s,
    );
  });

  it('a recent Node.js', () => {
    expect(() => requireNode('20.19.0')).not.toThrow();
    expect(() => requireNode('20.11.1')).toThrow(/20\.19 or later; this is 20\.11\.1/);
    expect(() => requireNode('18.20.0')).toThrow(/needs Node\.js/);
  });

  it('packages, or the one command that installs them', () => {
    const wanted = { mariadbd: 'mariadb-server', mariadb: 'mariadb-client' };
    expect(() => requirePackages(wanted, machineWith({}))).not.toThrow();
    expect(() => requirePackages(wanted, machineWith({ has: (command) => command === 'mariadb' }))).toThrow(
      /sudo apt-get update && sudo apt-get install -y mariadb-server$/,
    );
  });

  it('installs them itself where it may', () => {
    const runs = [];
    const run = (command, args) => runs.push([command, ...args].join(' ')) > 0;
    requirePackages({ mariadbd: 'mariadb-server' }, machineWith({ has: () => false, isRoot: () => true, run }));
    expect(runs.at(-1)).toMatch(/^apt-get install -y .*mariadb-server$/);
    runs.length = 0;
    requirePackages({ mariadbd: 'mariadb-server' }, machineWith({ has: () => false, hasSudo: () => true, run }));
    expect(runs.at(-1)).toMatch(/^sudo -n apt-get install -y .*mariadb-server$/);
  });

  it('does without what it can do without, and says so', () => {
    const told = jest.spyOn(console, 'log').mockImplementation(() => undefined);
    offerPackages(
      { chromium: 'chromium' },
      'Pages that scripts draw are not checked.',
      machineWith({ has: () => false }),
    );
    expect(told.mock.calls.flat().join('')).toMatch(/install -y chromium\n\nPages that scripts draw are not checked\./);
    told.mockRestore();
  });

  it('free ports', async () => {
    const server = createServer().listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const { port } = server.address();
    await expect(requireFreePort(port, 'the server', 'HAPSET_PORT')).rejects.toThrow(
      new RegExp(`Port ${port}, meant for the server, is taken.*HAPSET_PORT=${port + 100}`),
    );
    await new Promise((resolve) => server.close(resolve));
    await expect(requireFreePort(port, 'the server', 'HAPSET_PORT')).resolves.toBeUndefined();
  });
});

describe('settings', () => {
  it('have defaults on loopback', () => {
    expect(readSettings({})).toMatchObject({
      host: '127.0.0.1',
      port: 4300,
      neighboursPort: 4310,
      databasePort: null,
      demo: true,
      address: 'http://127.0.0.1:4300',
    });
  });
  it('keep the demo on this machine, and without it nothing of it', () => {
    expect(() => readSettings({ HAPSET_HOST: '0.0.0.0' })).toThrow(
      /passwords are public.*HAPSET_DEMO=0.*HAPSET_DEMO_PUBLIC=1/s,
    );
    expect(readSettings({ HAPSET_HOST: '0.0.0.0', HAPSET_DEMO_PUBLIC: '1' }).demo).toBe(true);
    expect(readSettings({ HAPSET_HOST: '0.0.0.0', HAPSET_DEMO: '0' })).toMatchObject({ demo: false, trustedHosts: '' });
  });
  it('give the database a socket that is short enough', () => {
    expect(readSettings({ HAPSET_DATA: '/srv/hapset' }).databaseSocket).toBe('/srv/hapset/database/my.sock');
    expect(Buffer.byteLength(readSettings({ HAPSET_DATA: `/srv/${'deep/'.repeat(40)}` }).databaseSocket)).toBeLessThan(
      100,
    );
    expect(readSettings({ HAPSET_DB_PORT: '4317' }).databasePort).toBe(4317);
  });
  it('refuse a port that is none', () => {
    expect(() => readSettings({ HAPSET_PORT: 'front door' })).toThrow(
      /HAPSET_PORT must be a port from 1 to 65535, but is "front door"/,
    );
  });
  it('trust the stand-ins on their own port only', () => {
    expect(readSettings({ HAPSET_NEIGHBOURS_PORT: '5000' }).trustedHosts).toBe(
      'cofferlane.localhost:5000,askleaf.localhost:5000,glimreel.localhost:5000,hushtone.localhost:5000,gatepost.localhost:5000,nipaway.localhost:5000,tally.nipaway.localhost:5000',
    );
  });
});

describe('the lock', () => {
  const folder = mkdtempSync(join(tmpdir(), 'hapset-lock-'));
  const lock = join(folder, 'lock');

  it('keeps a second start out while the first lives', () => {
    const release = takeLock(folder);
    expect(readFileSync(lock, 'utf8')).toBe(String(process.pid));
    expect(() => takeLock(folder)).toThrow(/already runs here/);
    release();
    expect(existsSync(lock)).toBe(false);
  });

  it('is taken over from a start that is gone', () => {
    writeFileSync(lock, '4194303');
    const release = takeLock(folder);
    expect(readFileSync(lock, 'utf8')).toBe(String(process.pid));
    release();
  });
});
