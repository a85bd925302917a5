import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { DataSourceOptions } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { dataSourceOptions } from '../../app/data-source.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';
import { connect } from './connect.js';

@Module({
  imports: [
    TypeOrmModule.forRootAsync({
      inject: [CONFIGURATION, LOGGER],
      useFactory: (configuration: Configuration, logger: AppLogger) => ({
        ...dataSourceOptions(configuration),
        retryAttempts: 0,
        hapsetLogger: logger,
      }),
      dataSourceFactory: (options?: DataSourceOptions & { readonly hapsetLogger?: AppLogger }) => {
        if (!options?.hapsetLogger) throw new Error('the database is not configured');
        const { hapsetLogger, ...own } = options;
        return connect(own as DataSourceOptions, hapsetLogger);
      },
    }),
  ],
})
export class DatabaseModule {}
