import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { Device } from './device.entity.js';

@Injectable()
export class DeviceService {
  constructor(@InjectRepository(Device) private readonly devices: Repository<Device>) {}

  /** All of the school's devices, in the list's order. */
  list(): Promise<Device[]> {
    return this.devices.find({ order: { position: 'ASC', id: 'ASC' } });
  }
}
