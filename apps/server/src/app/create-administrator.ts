/**
 * Command: asks at the terminal for name, e-mail address and password of an administrator, and creates the account.
 * For the first account of a school, and for the day when nobody knows a password any more.
 */
import 'reflect-metadata';
import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { DataSource } from 'typeorm';
import { SystemClock } from '../platform/clock/clock.js';
import { readConfiguration } from '../platform/configuration/configuration.js';
import { dataSourceOptions } from './data-source.js';
import { migrate } from '../platform/database/migrate.js';
import { createAdministrator, troubleWith } from '../school/account/new-administrator.js';

const dataSource = await new DataSource(dataSourceOptions(readConfiguration())).initialize();
try {
  await migrate(dataSource);
  const asked = process.stdin.isTTY ? await askPerson() : await readLines();
  const trouble = troubleWith(asked);
  if (trouble !== null) fail(trouble);
  else if (await createAdministrator(dataSource, asked, new SystemClock()))
    process.stdout.write(`\nAccount created. Sign in as ${asked.email}.\n`);
  else fail(`There is an account with the address ${asked.email} already. It was not changed. Choose another address.`);
} finally {
  await dataSource.destroy();
}

function fail(message: string): void {
  process.stderr.write(`\n${message}\n`);
  process.exitCode = 1;
}

async function askPerson(): Promise<{ name: string; email: string; password: string }> {
  let silent = false;
  const output = new Writable({
    write: (chunk, _encoding, done) => (silent || process.stdout.write(chunk as Buffer), done()),
  });
  const terminal = createInterface({ input: process.stdin, output, terminal: true });
  try {
    const name = await terminal.question('Name: ');
    const email = await terminal.question('E-mail address: ');
    process.stdout.write('Password (at least 10 characters, not shown): ');
    silent = true;
    const password = await terminal.question('');
    process.stdout.write('\nThe same password again: ');
    const again = await terminal.question('');
    return { name, email, password: password === again ? password : '' };
  } finally {
    terminal.close();
  }
}

/** Three lines from a script: name, e-mail address, password. */
async function readLines(): Promise<{ name: string; email: string; password: string }> {
  let text = '';
  for await (const chunk of process.stdin) text += String(chunk);
  const [name = '', email = '', password = ''] = text.split(/\r?\n/);
  return { name, email, password };
}
