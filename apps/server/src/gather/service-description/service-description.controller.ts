import { Body, Controller, Delete, Get, Param, Put } from '@nestjs/common';
import type { ServiceView } from '@hapset/contract';
import { ActivityService } from '../../school/activity/activity.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { Who } from '../../school/rights/who.decorator.js';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { KeepServiceDto } from './service-description.dto.js';
import { ServiceDescriptionService } from './service-description.service.js';

@Controller('api')
export class ServiceDescriptionController {
  constructor(
    private readonly services: ServiceDescriptionService,
    private readonly activity: ActivityService,
  ) {}

  @Get('services')
  list(): Promise<readonly ServiceView[]> {
    return this.services.list();
  }

  @Put('services/:serviceId')
  @AdministratorOnly()
  async keep(
    @Param('serviceId') serviceId: string,
    @Body() body: KeepServiceDto,
    @Who() who: SignedIn,
  ): Promise<ServiceView> {
    const kept = await this.services.keep(serviceId, body);
    await this.activity.note(who, 'service-changed', body.description.name);
    return kept;
  }

  @Delete('services/:serviceId')
  @AdministratorOnly()
  async remove(@Param('serviceId') serviceId: string, @Who() who: SignedIn): Promise<null> {
    await this.services.remove(serviceId);
    await this.activity.note(who, 'service-changed', serviceId);
    return null;
  }
}
