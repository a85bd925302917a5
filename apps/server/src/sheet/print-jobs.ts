/** What a worker needs to draw a print again: from what was remembered when it was made. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import type { Print } from './print.entity.js';
import type { SheetJob } from './sheet-job.js';
import { SheetPictures } from './sheet-pictures.js';
import { SheetPlanner } from './sheet-planner.js';
import { Sheet } from './sheet.entity.js';

@Injectable()
export class PrintJobs {
  constructor(
    @InjectRepository(Sheet) private readonly sheets: Repository<Sheet>,
    private readonly planner: SheetPlanner,
    private readonly pictures: SheetPictures,
  ) {}

  async of({ id, setup, han, name, madeAt }: Print): Promise<SheetJob> {
    const rows = await this.sheets.find({ where: { printId: id }, order: { position: 'ASC' } });
    const contents = rows.map(({ content }) => content);
    const pictures = { ...(await this.pictures.again(contents)), ...(await this.planner.picturesOf(contents, setup)) };
    return { setup, contents, han, pictures, title: name, madeAt: madeAt.getTime() };
  }
}
