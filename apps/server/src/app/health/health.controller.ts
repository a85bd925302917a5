import { Controller, Get, Inject } from '@nestjs/common';
import type { HealthView, PartState } from '@hapset/contract';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { ServerParts } from '../../overview/condition/server-parts.js';
import { Anyone } from '../../school/rights/access.decorators.js';
import { ProblemError } from '../../platform/problem/problem.js';

@Controller('api')
export class HealthController {
  constructor(
    private readonly parts: ServerParts,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Anyone()
  @Get('health')
  async health(): Promise<HealthView> {
    const [database, files, room] = await Promise.all([
      this.parts.database(),
      this.parts.filesWritable(),
      this.parts.hasRoom(),
    ]);
    return {
      version: this.configuration.version,
      database: state(database !== null),
      files: state(files),
      disk: state(room),
    };
  }

  /** For load balancers. @throws ProblemError unavailable that names what is missing */
  @Anyone()
  @Get('ready')
  async ready(): Promise<HealthView> {
    const health = await this.health();
    if (health.database === 'down') throw notReady('The database can’t be reached just now.');
    if (health.files === 'down') throw notReady('The folder with kept files can’t be written to.');
    if (health.disk === 'down') throw notReady('The disk has no room for more files.');
    return health;
  }
}

function state(isUp: boolean): PartState {
  return isUp ? 'up' : 'down';
}

function notReady(why: string): ProblemError {
  return new ProblemError('unavailable', why, { retryAfterS: 5 });
}
