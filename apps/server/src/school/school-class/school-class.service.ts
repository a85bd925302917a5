import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ChangeSchoolClass, CreateSchoolClass } from '@hapset/contract';
import { In, Repository } from 'typeorm';
import { newId } from '../../platform/database/columns.js';
import { DeviceService } from '../device/device.service.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { SchoolClass } from './school-class.entity.js';
import type { DeviceRecord } from '../device/device-record.js';

@Injectable()
export class SchoolClassService {
  constructor(
    @InjectRepository(SchoolClass) private readonly classes: Repository<SchoolClass>,
    private readonly devices: DeviceService,
  ) {}

  list(): Promise<SchoolClass[]> {
    return this.classes.find({ relations: { devices: true }, order: { name: 'ASC', id: 'ASC' } });
  }

  /** The classes with those ids and their devices. */
  async byIds(ids: readonly string[]): Promise<SchoolClass[]> {
    return ids.length === 0 ? [] : this.classes.find({ where: { id: In([...ids]) }, relations: { devices: true } });
  }

  /** @throws ProblemError not-found when the school has no such class */
  async require(id: string): Promise<SchoolClass> {
    const found = await this.classes.findOne({ where: { id }, relations: { devices: true } });
    if (!found) throw notFound('class');
    return found;
  }

  async create({ deviceIds, ...request }: CreateSchoolClass): Promise<SchoolClass> {
    const devices = await this.devicesOf(deviceIds);
    return this.classes.save(this.classes.create({ id: newId(), ...request, version: 1, devices }));
  }

  /** @throws ProblemError stale */
  async change(id: string, { deviceIds, version, ...request }: ChangeSchoolClass): Promise<SchoolClass> {
    const devices = await this.devicesOf(deviceIds);
    const { affected } = await this.classes.update({ id, version }, { ...request, version: version + 1 });
    if (affected !== 1) throw stale('class');
    const changed = await this.require(id);
    changed.devices = devices;
    return this.classes.save(changed);
  }

  private async devicesOf(ids: readonly string[]): Promise<DeviceRecord[]> {
    const all = await this.devices.list();
    const chosen = all.filter((device) => ids.includes(device.id));
    if (chosen.length !== ids.length) {
      throw new ProblemError('invalid', 'The school has no such device.', {
        fields: [{ field: 'deviceIds', message: 'names a device that the school does not have' }],
      });
    }
    return chosen;
  }
}
