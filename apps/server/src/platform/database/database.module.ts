import { Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { DataSourceOptions } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';
import { connect } from './connect.js';

@Module({})
export class DatabaseModule {
  /** @param optionsOf names the tables and migrations of all areas, which this one does not know */
  static with(optionsOf: (configuration: Configuration) => DataSourceOptions): DynamicModule {
    return {
      module: DatabaseModule,
      imports: [
        TypeOrmModule.forRootAsync({
          inject: [CONFIGURATION, LOGGER],
          useFactory: (configuration: Configuration, logger: AppLogger) => ({
            ...optionsOf(configuration),
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
    };
  }
}
