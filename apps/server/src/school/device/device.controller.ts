import { Body, Controller, Delete, Get, Param, Patch, Post } from '@nestjs/common';
import type { DeviceView } from '@hapset/contract';
import { AdministratorOnly } from '../rights/access.decorators.js';
import { ChangeDeviceDto, CreateDeviceDto } from './device.dto.js';
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
  @Post()
  async create(@Body() body: CreateDeviceDto): Promise<DeviceView> {
    return toDeviceView(await this.devices.create(body));
  }

  @AdministratorOnly()
  @Patch(':deviceId')
  async change(@Param('deviceId') deviceId: string, @Body() body: ChangeDeviceDto): Promise<DeviceView> {
    return toDeviceView(await this.devices.change(deviceId, body));
  }

  @AdministratorOnly()
  @Delete(':deviceId')
  async remove(@Param('deviceId') deviceId: string): Promise<null> {
    await this.devices.remove(deviceId);
    return null;
  }
}
