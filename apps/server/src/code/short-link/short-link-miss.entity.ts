import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Addresses under /K/ that led nowhere, by the hour. */
@Entity('short_link_misses')
export class ShortLinkMiss {
  @PrimaryColumn({ type: 'datetime', precision: 3 }) hour: Date;
  @Column({ type: 'int' }) misses: number;
  @Column({ type: 'int' }) slowed: number;
}
