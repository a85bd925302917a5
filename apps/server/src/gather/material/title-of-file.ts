/** A material that is called like its file goes with the file when that gets another name; a title of a person's own stays. */
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits } from '@hapset/contract';
import { titleFromName } from '@hapset/core';
import { In, Repository } from 'typeorm';
import { FileEvents, type ReplacedFile } from '../file/file-events.js';
import { FileService } from '../file/file.service.js';
import { MaterialFinder } from './material-finder.js';
import { Material } from './material.entity.js';

@Injectable()
export class TitleOfFile implements OnModuleInit {
  constructor(
    @InjectRepository(Material) private readonly materials: Repository<Material>,
    private readonly events: FileEvents,
    private readonly files: FileService,
    private readonly finder: MaterialFinder,
  ) {}

  onModuleInit(): void {
    this.events.subscribe((file) => this.rename(file));
  }

  private async rename({ id, nameBefore, nameAfter }: ReplacedFile): Promise<void> {
    const title = titleFromName(nameBefore);
    const named = (await this.finder.listByIds((await this.files.usesOf([id])).map((use) => use.id))).filter(
      (material) => material.kept?.kind === 'file' && material.title === title,
    );
    if (named.length === 0 || nameBefore === nameAfter) return;
    await this.materials.update(
      { id: In(named.map((material) => material.id)), title },
      { title: titleFromName(nameAfter).slice(0, limits.titleLength), version: () => 'version + 1' },
    );
  }
}
