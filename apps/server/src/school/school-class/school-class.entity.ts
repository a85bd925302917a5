import { limits } from '@hapset/contract';
import type { StudentAccounts } from '@hapset/core';
import { Column, Entity, JoinTable, ManyToMany, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, textColumn } from '../../platform/database/columns.js';
import type { DeviceRecord } from '../device/device-record.js';

@Entity('school_classes')
export class SchoolClass {
  @PrimaryColumn(idColumn) id: string;
  @Column(textColumn(limits.nameLength)) name: string;
  @Column(keywordColumn(10)) studentAccounts: StudentAccounts;
  @Column({ type: 'int', default: 1 }) version: number;
  @ManyToMany('Device')
  @JoinTable({ name: 'class_devices', joinColumn: { name: 'class_id' }, inverseJoinColumn: { name: 'device_id' } })
  devices: Relation<DeviceRecord>[];
}
