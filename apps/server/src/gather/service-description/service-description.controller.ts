import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import type { ServiceTryoutView, ServiceView } from '@hapset/contract';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { KeepServiceDto, TryServiceDto } from './service-description.dto.js';
import { ServiceDescriptionService } from './service-description.service.js';
import { ServiceTryoutService } from '../../opens/service-tryout/service-tryout.service.js';

@Controller('api')
export class ServiceDescriptionController {
  constructor(
    private readonly services: ServiceDescriptionService,
    private readonly tryouts: ServiceTryoutService,
  ) {}

  @Get('services')
  list(): Promise<readonly ServiceView[]> {
    return this.services.list();
  }

  @Put('services/:serviceId')
  @AdministratorOnly()
  keep(@Param('serviceId') serviceId: string, @Body() body: KeepServiceDto): Promise<ServiceView> {
    return this.services.keep(serviceId, body);
  }

  @Delete('services/:serviceId')
  @AdministratorOnly()
  async remove(@Param('serviceId') serviceId: string): Promise<null> {
    await this.services.remove(serviceId);
    return null;
  }

  /** Keeps nothing. */
  @Post('service-tryouts')
  @HttpCode(200)
  @AdministratorOnly()
  try(@Body() body: TryServiceDto): Promise<ServiceTryoutView> {
    return this.tryouts.try(body);
  }
}
