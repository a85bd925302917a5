import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DataSource, type DataSourceOptions } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { dataSourceOptions } from './data-source.js';
import { migrate } from './migrate.js';

@Module({
  imports: [
    TypeOrmModule.forRootAsync({
      inject: [CONFIGURATION],
      useFactory: (configuration: Configuration) => ({ ...dataSourceOptions(configuration), retryAttempts: 3, retryDelay: 1000 }),
      dataSourceFactory: async (options?: DataSourceOptions) => {
        if (!options) throw new Error('the database is not configured');
        const dataSource = await new DataSource(options).initialize();
        await migrate(dataSource);
        return dataSource;
      },
    }),
  ],
})
export class DatabaseModule {}
