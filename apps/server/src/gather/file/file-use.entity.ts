import { Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn } from '../../platform/database/columns.js';
import { KeptFile } from './kept-file.entity.js';

/** A material shows a file. */
@Entity('file_uses')
export class FileUse {
  @PrimaryColumn(idColumn) materialId: string;
  @ManyToOne('Material', { onDelete: 'CASCADE' }) material: Relation<object>;
  @Index() @PrimaryColumn(idColumn) fileId: string;
  @ManyToOne(() => KeptFile, { onDelete: 'RESTRICT' }) file: Relation<KeptFile>;
}
