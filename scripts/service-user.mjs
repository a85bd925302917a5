// The account of the operating system that the database, the server and the stand-ins run as. Root installs packages and
// builds; everything that reads what strangers send runs as this account, in a folder that no other account can open.
import { chmodSync, chownSync, existsSync, lstatSync, mkdirSync, readdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { machine, requirePackages } from './machine.mjs';
import { projectFolder, Trouble } from './settings.mjs';

/** What Hapset puts into a data folder; a folder with anything else in it is somebody else's. */
const ownEntries = new Set([
  'backup-work',
  'backups',
  'database',
  'database-password',
  'demo-loaded',
  'files',
  'lock',
  'log-salt',
  'neighbours.json',
  'restore-work',
  'running',
  'server.log',
  'second-server.log',
  'stand-ins.log',
  'screenshots',
  'home',
  'last-backup.json',
]);
const needed = ['apps', 'packages', 'node_modules', 'demo', 'scripts', 'package.json'];

/**
 * The account to run as; made where it is missing.
 * @returns {{ name: string, uid: number, gid: number } | null} null where this is not root: then the caller's own account is used
 * @throws Trouble when it can't be made, or is a person's
 */
export function serviceUser(ask = machine, name = process.env.HAPSET_USER || 'hapset') {
  if (!ask.isRoot()) return null;
  const known = find(ask, name);
  if (known) return known;
  console.log(`Creating the system account ${name}, which the database and the server run as …`);
  ask.run('useradd', [
    '--system',
    '--user-group',
    '--no-create-home',
    '--home-dir',
    '/nonexistent',
    '--shell',
    '/usr/sbin/nologin',
    name,
  ]);
  const made = find(ask, name);
  if (!made)
    throw new Trouble(
      `The system account ${name} could not be created. Create it with: useradd --system --user-group ${name}`,
    );
  return made;
}

function find(ask, name) {
  const [line] = ask.read('getent', ['passwd', name]);
  if (!line) return null;
  const [, , uid, gid] = line.split(':');
  if (Number(uid) === 0 || Number(uid) >= 1000)
    throw new Trouble(
      `The account ${name} is not a system account. Choose another name for the one that Hapset runs as: HAPSET_USER=hapset-server npm start`,
    );
  return { name, uid: Number(uid), gid: Number(gid) };
}

/** Options for a child process that runs as the account. Its groups are the account's own, nothing of root's. */
export function asUser(user, dataFolder) {
  return user === null
    ? {}
    : { uid: user.uid, gid: user.gid, env: { USER: user.name, LOGNAME: user.name, HOME: dataFolder } };
}

/**
 * The data folder, for the account alone (0700; files in it are made with umask 077). What an earlier version left
 * readable for others, or in root's hands, is closed once.
 * @throws Trouble for a folder that holds something else
 */
export function closeDataFolder(dataFolder, user, ask = machine) {
  mkdirSync(dirname(dataFolder), { recursive: true });
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 });
  const { uid, mode } = lstatSync(dataFolder);
  const owner = user?.uid ?? process.getuid();
  const closed = (mode & 0o077) === 0;
  if (user !== null) letPass(dirname(dataFolder), user, ask);
  if (uid === owner && closed) return;
  const foreign = readdirSync(dataFolder).filter((entry) => !ownEntries.has(entry));
  if (foreign.length > 0)
    throw new Trouble(
      `${dataFolder} holds other things (${foreign.slice(0, 3).join(', ')}), and Hapset closes its data folder to everybody else. Choose an empty folder: HAPSET_DATA=/srv/hapset npm start`,
    );
  if (user !== null && uid !== owner) {
    chownSync(dataFolder, user.uid, user.gid);
    if (!ask.run('chown', ['-R', '-h', '-P', `${user.uid}:${user.gid}`, dataFolder]))
      throw new Trouble(`${dataFolder} could not be given to the account ${user.name}.`);
  }
  chmodSync(dataFolder, 0o700);
  if (!ask.run('chmod', ['-R', 'go=', dataFolder]))
    throw new Trouble(`${dataFolder} could not be closed to other accounts. Check who owns it.`);
}

/**
 * Lets the account read the program. Only where it can't yet: then it may pass through the folders above the
 * project, and read the project, and nobody else may.
 * @throws Trouble when that can't be arranged
 */
export function letUserRead(user, ask = machine) {
  if (user === null || canRead(user, ask)) return;
  letPass(dirname(projectFolder), user, ask);
  if (!canRead(user, ask)) requirePackages({ setfacl: 'acl' }, ask);
  if (!canRead(user, ask))
    ask.run('setfacl', [
      '-R',
      '-P',
      '-m',
      `u:${user.name}:rX`,
      ...needed.filter((entry) => existsSync(`${projectFolder}/${entry}`)),
    ]);
  if (!canRead(user, ask))
    throw new Trouble(
      `The account ${user.name} can't read ${projectFolder}. Put the project into a folder that it may read, for example /opt/hapset.`,
    );
}

/** Through the folder and those above it, as far as it can't yet; into none of them. */
function letPass(innermost, user, ask) {
  const passes = (folder) =>
    ask.run('setpriv', [`--reuid=${user.uid}`, `--regid=${user.gid}`, '--clear-groups', 'test', '-x', folder], {
      stdio: 'ignore',
    });
  if (passes(innermost)) return;
  requirePackages({ setfacl: 'acl' }, ask);
  const above = [];
  for (let folder = innermost; folder !== dirname(folder); folder = dirname(folder)) above.unshift(folder);
  for (const folder of above) {
    if (passes(folder)) continue;
    console.log(`The account ${user.name} may now pass through ${folder} (setfacl).`);
    ask.run('setfacl', ['-m', `u:${user.name}:x`, folder]);
  }
}

function canRead(user, ask) {
  const test = needed.map((entry) => `test -r '${projectFolder}/${entry}'`).join(' && ');
  return ask.run(
    'setpriv',
    [
      `--reuid=${user.uid}`,
      `--regid=${user.gid}`,
      '--clear-groups',
      'sh',
      '-c',
      `${test} && test -r '${projectFolder}/apps/server/dist/main.js'`,
    ],
    { stdio: 'ignore' },
  );
}
