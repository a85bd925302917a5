import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { AppModule } from './app/app.module.js';
import { setUp } from './app/application.js';
import { readConfiguration } from './platform/configuration/configuration.js';
import { listenWhileStarting } from './app/health/while-starting.js';
import { createLogger, NestLog } from './platform/logging/logging.js';
import { watchProcess } from './platform/logging/watch-process.js';

const configuration = readConfiguration();
const logger = createLogger(configuration.logLevel);
watchProcess(process, logger);
const waiting = await listenWhileStarting(configuration);
const app = await NestFactory.create(AppModule.with(configuration, logger), {
  forceCloseConnections: true,
  bodyParser: false,
  logger: new NestLog(logger),
  abortOnError: false,
});
setUp(app, configuration, logger);
await waiting.close();
await app.listen(configuration.port, configuration.host);
logger.info({ host: configuration.host, port: configuration.port, version: configuration.version }, 'listening');
