import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { scannerActs, type ScannerAct } from '@hapset/core';
import { notFound } from '../problem/problem.js';
import { Device } from './device.entity.js';

@Injectable()
export class DeviceService {
  constructor(@InjectRepository(Device) private readonly devices: Repository<Device>) {}

  /** All of the school's devices, in the list's order. */
  list(): Promise<Device[]> {
    return this.devices.find({ order: { position: 'ASC', id: 'ASC' } });
  }

  /** @throws ProblemError not-found */
  async change(id: string, actsOn: readonly ScannerAct[]): Promise<Device> {
    const device = await this.devices.findOneBy({ id });
    if (!device) throw notFound('device');
    return this.devices.save({ ...device, actsOn: scannerActs.filter((act) => actsOn.includes(act)) });
  }
}
