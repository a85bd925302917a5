import { chmodSync, lstatSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { closeDataFolder, serviceUser } from './service-user.mjs';

const machineWith = (more) => ({ isRoot: () => true, run: () => true, read: () => [], ...more });

describe('the account that Hapset runs as', () => {
  it('is the caller’s own where that is not root', () =>
    expect(serviceUser(machineWith({ isRoot: () => false }))).toBeNull());

  it('is a system account, made once where root starts it', () => {
    const runs = [];
    let made = false;
    const ask = machineWith({
      run: (command, args) => (made = runs.push([command, ...args].join(' ')) > 0),
      read: () => (made ? ['hapset:x:998:997::/nonexistent:/usr/sbin/nologin'] : []),
    });
    expect(serviceUser(ask, 'hapset')).toEqual({ name: 'hapset', uid: 998, gid: 997 });
    expect(runs).toEqual([expect.stringMatching(/^useradd --system .*nologin hapset$/)]);
    serviceUser(ask, 'hapset');
    expect(runs).toHaveLength(1);
  });

  it('is never a person’s, and never root', () => {
    for (const line of ['hapset:x:1000:1000::/home/hapset:/bin/bash', 'root:x:0:0:root:/root:/bin/bash'])
      expect(() => serviceUser(machineWith({ read: () => [line] }), 'hapset')).toThrow(
        /not a system account.*HAPSET_USER/s,
      );
  });

  it('says what to do where it can’t be made', () =>
    expect(() => serviceUser(machineWith({}), 'hapset')).toThrow(/useradd --system/));
});

describe('the data folder', () => {
  const folder = mkdtempSync(join(tmpdir(), 'hapset-data-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const modes = (...paths) => paths.map((path) => lstatSync(path).mode & 0o777);

  it('is closed to others, with what an earlier version left open in it', () => {
    const data = join(folder, 'data');
    closeDataFolder(data, null);
    expect(modes(data)).toEqual([0o700]);
    mkdirSync(join(data, 'files'));
    writeFileSync(join(data, 'server.log'), '');
    for (const path of [data, join(data, 'files'), join(data, 'server.log')]) chmodSync(path, 0o755);
    closeDataFolder(data, null);
    expect(modes(data, join(data, 'files'), join(data, 'server.log'))).toEqual([0o700, 0o700, 0o700]);
  });

  it('is never a folder that holds something else', () => {
    const home = join(folder, 'home-of-somebody');
    mkdirSync(join(home, 'letters'), { recursive: true });
    chmodSync(home, 0o755);
    expect(() => closeDataFolder(home, null)).toThrow(/holds other things \(letters\).*HAPSET_DATA/s);
    expect(modes(home)).toEqual([0o755]);
  });
});
