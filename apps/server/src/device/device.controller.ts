import { Controller, Get } from '@nestjs/common';
import type { DeviceView } from '@hapset/contract';
import { DeviceService } from './device.service.js';
import { toDeviceView } from './device.view.js';

@Controller('api/devices')
export class DeviceController {
  constructor(private readonly devices: DeviceService) {}

  @Get()
  async list(): Promise<readonly DeviceView[]> {
    return (await this.devices.list()).map(toDeviceView);
  }
}
