import type { ServiceDescription } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { keywordColumn, timeColumn } from '../../platform/database/columns.js';

/** A description that the school wrote or imported. */
@Entity('service_descriptions')
export class DescribedService {
  /** As in the description. */
  @PrimaryColumn(keywordColumn(60)) id: string;
  @Column({ type: 'json' }) description: ServiceDescription;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) changedAt: Date;
}
