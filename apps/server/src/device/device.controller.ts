import { Body, Controller, Get, Param, Patch } from '@nestjs/common';
import type { DeviceView } from '@hapset/contract';
import { AdministratorOnly } from '../ownership/access.decorators.js';
import { ChangeDeviceDto } from './device.dto.js';
import { DeviceService } from './device.service.js';
import { toDeviceView } from './device.view.js';

@Controller('api/devices')
export class DeviceController {
  constructor(private readonly devices: DeviceService) {}

  @Get()
  async list(): Promise<readonly DeviceView[]> {
    return (await this.devices.list()).map(toDeviceView);
  }

  @AdministratorOnly()
  @Patch(':deviceId')
  async change(@Param('deviceId') deviceId: string, @Body() { actsOn }: ChangeDeviceDto): Promise<DeviceView> {
    return toDeviceView(await this.devices.change(deviceId, actsOn));
  }
}
