import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, timeColumn } from '../database/columns.js';

/** A sign-in that failed. Kept for as long as it counts against the limit, then removed. */
@Entity('sign_in_attempts')
@Index(['email', 'at'])
@Index(['address', 'at'])
export class SignInAttempt {
  @PrimaryColumn(idColumn) id: string;
  @Column({ type: 'varchar', length: 190 }) email: string;
  @Column({ type: 'varchar', length: 64 }) address: string;
  @Index() @Column(timeColumn) at: Date;
}
