import { limits, type ChangeDevice, type CreateDevice } from '@hapset/contract';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { mediaFormats, scannerActs } from '@hapset/core';
import { newId } from '../../platform/database/columns.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { Device } from './device.entity.js';

@Injectable()
export class DeviceService {
  constructor(@InjectRepository(Device) private readonly devices: Repository<Device>) {}

  /** All of the school's devices, in the list's order. */
  list(): Promise<Device[]> {
    return this.devices.find({ order: { position: 'ASC', id: 'ASC' } });
  }

  /** At the end of the list. @throws ProblemError invalid when the list is full */
  async create({ actsOn, plays, ...figures }: CreateDevice): Promise<Device> {
    if ((await this.devices.count()) >= limits.device.devices)
      throw new ProblemError('invalid', 'The list of devices is full. Remove one that is not used any more.', {
        fields: [{ field: 'name', message: 'the list is full' }],
      });
    const position = ((await this.devices.maximum('position')) ?? 0) + 1;
    return this.devices.save({
      ...figures,
      id: newId(),
      actsOn: inOrder(scannerActs, actsOn),
      plays: inOrder(mediaFormats, plays),
      position,
    });
  }

  /** @throws ProblemError not-found */
  async change(id: string, { actsOn, plays, ...figures }: ChangeDevice): Promise<Device> {
    const device = await this.devices.findOneBy({ id });
    if (!device) throw notFound('device');
    return this.devices.save({
      ...device,
      ...figures,
      ...(actsOn !== undefined && { actsOn: inOrder(scannerActs, actsOn) }),
      ...(plays !== undefined && { plays: inOrder(mediaFormats, plays) }),
    });
  }

  /** Classes lose it as well. */
  async remove(id: string): Promise<void> {
    await this.devices.delete({ id });
  }
}

/** In the order of the list, so that it always reads the same. */
function inOrder<Name>(list: readonly Name[], chosen: readonly Name[]): readonly Name[] {
  return list.filter((name) => chosen.includes(name));
}
