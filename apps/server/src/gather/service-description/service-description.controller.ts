import { Body, Controller, Delete, Get, Param, Put } from '@nestjs/common';
import type { ServiceView } from '@hapset/contract';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { KeepServiceDto } from './service-description.dto.js';
import { ServiceDescriptionService } from './service-description.service.js';

@Controller('api')
export class ServiceDescriptionController {
  constructor(private readonly services: ServiceDescriptionService) {}

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
}
