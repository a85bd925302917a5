import { Controller, Get, Inject } from '@nestjs/common';
import type { HealthView } from '@hapset/contract';
import { DataSource } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { Anyone } from '../../school/rights/access.decorators.js';
import { ProblemError } from '../../platform/problem/problem.js';

/** A database that takes longer is no help to anybody. */
const askMs = 2000;

@Controller('api')
export class HealthController {
  constructor(
    private readonly dataSource: DataSource,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Anyone()
  @Get('health')
  async health(): Promise<HealthView> {
    return { version: this.configuration.version, database: (await this.databaseAnswers()) ? 'up' : 'down' };
  }

  /** @throws ProblemError unavailable */
  @Anyone()
  @Get('ready')
  async ready(): Promise<HealthView> {
    const health = await this.health();
    if (health.database === 'down')
      throw new ProblemError('unavailable', 'The database can’t be reached just now.', { retryAfterS: 5 });
    return health;
  }

  private async databaseAnswers(): Promise<boolean> {
    const asked = this.dataSource.query('SELECT 1').then(
      () => true,
      () => false,
    );
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<boolean>((resolve) => (timer = setTimeout(() => resolve(false), askMs)));
    try {
      return await Promise.race([asked, late]);
    } finally {
      clearTimeout(timer);
    }
  }
}
