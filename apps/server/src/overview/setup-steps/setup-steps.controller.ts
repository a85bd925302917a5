/** How far the school's setup is: each step by what is really there. */
import { Controller, Get } from '@nestjs/common';
import type { SetupSteps } from '@hapset/contract';
import { DataSource } from 'typeorm';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { ArrivalService } from '../../school/arrival/arrival.service.js';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { SchoolService } from '../../school/settings/school.service.js';

interface Counts {
  readonly devices: string;
  readonly colleagues: string;
  readonly students: string;
}

@Controller('api/setup-steps')
export class SetupStepsController {
  constructor(
    private readonly dataSource: DataSource,
    private readonly school: SchoolService,
    private readonly arrivals: ArrivalService,
    private readonly services: ServiceDescriptionService,
  ) {}

  @AdministratorOnly()
  @Get()
  async view(): Promise<SetupSteps> {
    const { publicAddress, shortLinkHost, printerTestedAt } = await this.school.get();
    const [counts] = (await this.dataSource.query(`SELECT
      (SELECT COUNT(*) FROM devices) AS devices,
      (SELECT COUNT(*) FROM accounts WHERE deactivated_at IS NULL) - 1 AS colleagues,
      (SELECT COUNT(*) FROM students WHERE left_at IS NULL) AS students`)) as [Counts];
    return {
      publicAddress,
      arrival: await this.arrivals.last(),
      shortLinkHost,
      printerTestedAt: printerTestedAt?.toISOString() ?? null,
      devices: Number(counts.devices),
      colleagues: Number(counts.colleagues),
      students: Number(counts.students),
      services: (await this.services.list()).length,
    };
  }
}
