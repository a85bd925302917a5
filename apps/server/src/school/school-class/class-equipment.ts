/** What a class's students have in their hands: its devices, and accounts that links may ask for. */
import { Injectable } from '@nestjs/common';
import type { DeviceView } from '@hapset/contract';
import type { StudentAccounts } from '@hapset/core';
import { DeviceService } from '../device/device.service.js';
import { toDeviceView } from '../device/device.view.js';
import { SchoolClassService } from './school-class.service.js';

export interface Equipment {
  readonly accounts: StudentAccounts;
  readonly devices: readonly DeviceView[];
}

@Injectable()
export class ClassEquipment {
  constructor(
    private readonly classes: SchoolClassService,
    private readonly devices: DeviceService,
  ) {}

  /** A class's own devices, or all of the school's where there is no class (null) or it has none. */
  async find(classIds: readonly string[]): Promise<(classId: string | null) => Equipment> {
    const [all, classes] = await Promise.all([this.devices.list(), this.classes.byIds([...new Set(classIds)])]);
    const views = all.map(toDeviceView);
    const known = new Map(
      classes.map((schoolClass) => [
        schoolClass.id,
        { accounts: schoolClass.studentAccounts, own: new Set(schoolClass.devices.map((device) => device.id)) },
      ]),
    );
    return (classId) => {
      const found = classId === null ? undefined : known.get(classId);
      return {
        accounts: found?.accounts ?? 'none',
        devices: found && found.own.size > 0 ? views.filter((device) => found.own.has(device.id)) : views,
      };
    };
  }
}
