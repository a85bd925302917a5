import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import type { ServiceTryoutView } from '@hapset/contract';
import { TryServiceDto } from '../../gather/service-description/service-description.dto.js';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { ServiceTryoutService } from './service-tryout.service.js';

@Controller('api/service-tryouts')
export class ServiceTryoutController {
  constructor(private readonly tryouts: ServiceTryoutService) {}

  /** Keeps nothing. */
  @Post()
  @HttpCode(200)
  @AdministratorOnly()
  try(@Body() body: TryServiceDto): Promise<ServiceTryoutView> {
    return this.tryouts.try(body);
  }
}
