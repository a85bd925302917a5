// What another account of the same machine tries, and what happens when parts fail.
import { spawnSync } from 'node:child_process';
import { lstatSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { closeDataFolder, serviceUser } from '../service-user.mjs';
import { projectFolder, readSettings } from '../settings.mjs';
import { startStack } from '../stack.mjs';

const nobody = 65534;

export const machine = [
  {
    number: 1,
    name: 'another account of this machine gets nothing',
    attack(target) {
      const { dataFolder, databaseSocket } = target.settings;
      const open = entriesOf(dataFolder).filter(
        (path) => (lstatSync(path).mode & 0o077) !== 0 && !lstatSync(path).isSymbolicLink(),
      );
      const closedAbove = (lstatSync(dataFolder).mode & 0o077) === 0;
      const tried = isRoot()
        ? asNobody(
            `ls '${dataFolder}'; cat '${join(dataFolder, 'database-password')}'; cat '${join(dataFolder, 'server.log')}'; mariadb --socket='${databaseSocket}' -uroot -e 'SELECT 1'; mariadb --socket='${databaseSocket}' -uhapset -e 'SELECT 1'; mariadb -h127.0.0.1 -P4317 -uroot -e 'SELECT 1'; true`,
          )
        : '';
      const owner = lstatSync(`/proc/${target.pidOf('server')}`).uid;
      const held =
        closedAbove &&
        open.length <= 1 &&
        tried === '' &&
        owner !== 0 &&
        lstatSync(`/proc/${target.pidOf('database')}`).uid !== 0;
      // The socket's own mode is the database's; its folder is closed.
      return {
        held,
        detail: `${open.length === 0 ? 'no file' : `${open.length} (${open[0]?.split('/').at(-1)})`} open to others; ${isRoot() ? `as nobody: ${tried === '' ? 'nothing' : tried.slice(0, 80)}; ` : ''}processes run as ${owner}`,
      };
    },
  },
  {
    number: 1,
    name: 'the application’s account may do what it needs, and nothing beyond its tables',
    attack(target) {
      const client = spawnSync(
        'mariadb',
        [`--defaults-file=${join(target.settings.dataFolder, 'database/client.cnf')}`, '-N', '-e', 'SHOW GRANTS'],
        { encoding: 'utf8' },
      );
      const grants = client.stdout.split('\n').filter((line) => line !== '');
      const beyond = grants.filter((line) => / ON \*\.\*/.test(line) && !/^GRANT USAGE ON/.test(line));
      return {
        held:
          client.status === 0 &&
          beyond.length === 0 &&
          !/\b(?:FILE|SUPER|PROCESS|ALL PRIVILEGES)\b/.test(client.stdout),
        detail: `${grants.length} grants, none for the whole server`,
      };
    },
  },
  {
    number: 2,
    name: 'without the demo there is no account and no public password, until the first administrator is created',
    async attack() {
      const folder = mkdtempSync(join(tmpdir(), 'hapset-attack-'));
      const settings = readSettings({ HAPSET_DEMO: '0', HAPSET_PORT: '4850', HAPSET_DATA: join(folder, 'data') });
      closeFolder(folder);
      const create = () =>
        spawnSync(process.execPath, [join(projectFolder, 'scripts/create-administrator.mjs')], {
          encoding: 'utf8',
          input: 'Wenna Sloe\nwenna.sloe@school.example\na shell for every crab\n',
          env: { ...process.env, HAPSET_PORT: '4850', HAPSET_DATA: settings.dataFolder },
        });
      const signIn = async (email, password) =>
        (
          await fetch(`${settings.address}/api/session`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({ email, password }),
          })
        ).status;
      const stack = await startStack(settings);
      try {
        const welcome = await (await fetch(`${settings.address}/api/welcome`)).json();
        const demo = await signIn('pell.arkwright@fernhollow.example', 'low-tide-at-nine');
        const created = create();
        const own = await signIn('wenna.sloe@school.example', 'a shell for every crab');
        const again = create();
        return {
          held:
            welcome.demo === null &&
            welcome.hasAccounts === false &&
            demo === 401 &&
            created.status === 0 &&
            own === 201 &&
            again.status !== 0,
          detail: `demo account ${demo}, own administrator ${own}, the same address again ${again.status === 0 ? 'changed it' : 'refused'}`,
        };
      } finally {
        await stack.stop();
        rmSync(folder, { recursive: true, force: true });
      }
    },
  },
  {
    number: 2,
    name: 'the demo listens on loopback alone',
    attack() {
      const refused = spawnSync(
        process.execPath,
        ['-e', "import('./scripts/settings.mjs').then((s) => s.readSettings())"],
        { cwd: projectFolder, encoding: 'utf8', env: { ...process.env, HAPSET_HOST: '0.0.0.0' } },
      );
      return {
        held: refused.status !== 0 && /HAPSET_DEMO_PUBLIC=1/.test(refused.stderr),
        detail: 'HAPSET_HOST=0.0.0.0 is refused',
      };
    },
  },
  {
    number: 6,
    name: 'a killed database and a killed server come back, and the server outlives its database',
    async attack(target) {
      const server = target.pidOf('server');
      process.kill(target.pidOf('database'), 'SIGKILL');
      const meanwhile = await until(
        () => target.ask('GET', '/api/ready'),
        ({ status }) => status === 503,
        5000,
      );
      const alive = await target.ask('GET', '/api/health');
      await until(
        () => target.ask('GET', '/api/ready'),
        ({ status }) => status === 200,
        30_000,
      );
      const same = target.pidOf('server') === server;
      process.kill(server, 'SIGKILL');
      const back = await until(
        () => target.ask('GET', '/api/ready').catch(() => ({ status: 0 })),
        ({ status }) => status === 200 && target.pidOf('server') !== server,
        30_000,
      );
      return {
        held: alive.status === 200 && same && back.status === 200,
        detail: `ready ${meanwhile.status} and health ${alive.status} while the database was gone; both are back`,
      };
    },
  },
];

function isRoot() {
  return process.getuid() === 0;
}

/** Whatever the commands wrote to their output; errors are what is hoped for. */
function asNobody(commands) {
  return spawnSync('setpriv', [`--reuid=${nobody}`, `--regid=${nobody}`, '--clear-groups', 'sh', '-c', commands], {
    encoding: 'utf8',
  }).stdout.trim();
}

/** A folder of the temporary ones that the service's account may pass through. */
function closeFolder(folder) {
  const user = serviceUser();
  if (user !== null) closeDataFolder(folder, user);
}

function entriesOf(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true }).map((entry) =>
    join(entry.parentPath, entry.name),
  );
}

async function until(look, done, longestMs) {
  let value = await look().catch(() => ({ status: 0 }));
  for (const end = Date.now() + longestMs; Date.now() < end && !done(value);) {
    await sleep(50);
    value = await look().catch(() => ({ status: 0 }));
  }
  return value;
}
