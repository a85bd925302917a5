import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { AppModule } from './app.module.js';
import { setUp } from './application.js';
import { readConfiguration } from './configuration/configuration.js';
import { createLogger, NestLog } from './logging/logging.js';

const configuration = readConfiguration();
const logger = createLogger(configuration.logLevel);
const app = await NestFactory.create(AppModule.with(configuration, logger), { forceCloseConnections: true, bodyParser: false, logger: new NestLog(logger) });
setUp(app, configuration, logger);
await app.listen(configuration.port, configuration.host);
logger.info({ host: configuration.host, port: configuration.port, version: configuration.version }, 'listening');
