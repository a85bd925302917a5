/** Command: prints a link by which the first administrator sets the school up, once and within an hour. Earlier ones are no longer valid. */
import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { SystemClock } from '../platform/clock/clock.js';
import { readConfiguration } from '../platform/configuration/configuration.js';
import { migrate } from '../platform/database/migrate.js';
import { hasAdministrator } from '../school/account/account-changes.js';
import { AccountLink } from '../school/account-link/account-link.entity.js';
import { AccountLinks } from '../school/account-link/account-links.js';
import { dataSourceOptions } from './data-source.js';

const configuration = readConfiguration();
const dataSource = await new DataSource(dataSourceOptions(configuration)).initialize();
try {
  await migrate(dataSource);
  if (await hasAdministrator(dataSource.manager)) {
    // At a start there is nothing to say then.
    if (!process.argv.includes('--where-needed'))
      process.stdout.write('\nThe school has an administrator; nothing has to be set up.\n');
  } else {
    const links = new AccountLinks(dataSource.getRepository(AccountLink), new SystemClock());
    const { address } = await links.make({ kind: 'setup' }, configuration.publicAddress);
    process.stdout.write(`\nSet up your school (valid once, for one hour):\n${address}\n`);
  }
} finally {
  await dataSource.destroy();
}
