import { Controller, Get, Inject } from '@nestjs/common';
import type { HealthView } from '@hapset/contract';
import { DataSource } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../configuration/configuration.js';
import { Anyone } from '../ownership/access.decorators.js';

@Controller('api/health')
export class HealthController {
  constructor(
    private readonly dataSource: DataSource,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Anyone()
  @Get()
  async health(): Promise<HealthView> {
    const { version } = this.configuration;
    try {
      await this.dataSource.query('SELECT 1');
      return { version, database: 'up' };
    } catch {
      return { version, database: 'down' };
    }
  }
}
