/** Command: `node apps/server/dist/demo/load.js` migrates the database and loads the demo scenario, once. */
import 'reflect-metadata';
import { join } from 'node:path';
import { compileServices } from '@hapset/core';
import { compileRe2 } from '@hapset/core/re2';
import { DataSource } from 'typeorm';
import { SystemClock } from '../platform/clock/clock.js';
import { readConfiguration } from '../platform/configuration/configuration.js';
import { dataSourceOptions } from '../app/data-source.js';
import { migrate } from '../platform/database/migrate.js';
import { readInstalledServices } from '../gather/service-description/installed-services.js';
import { FolderStorage } from '../platform/storage/folder-storage.js';
import { loadDemo } from './load-demo.js';
import { readScenario } from './scenario.js';

const configuration = readConfiguration();
const port = process.env.HAPSET_NEIGHBOURS_PORT ?? '4310';
const dataSource = await new DataSource(dataSourceOptions(configuration)).initialize();
try {
  await migrate(dataSource);
  const loaded = await loadDemo(dataSource, {
    scenario: readScenario(),
    publicAddress: configuration.publicAddress,
    neighbours: Object.fromEntries(
      ['cofferlane', 'askleaf', 'glimreel', 'hushtone'].map((name) => [name, `http://${name}.localhost:${port}`]),
    ),
    clock: new SystemClock(),
    storage: new FolderStorage(join(configuration.filesFolder, 'kept')),
    services: compileServices(
      readInstalledServices(configuration.servicesFolder).map(({ description }) => description),
      compileRe2,
    ),
  });
  process.stdout.write(loaded ? 'Demo data loaded.\n' : 'Demo data is there already; nothing was changed.\n');
} finally {
  await dataSource.destroy();
}
