import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Handover, rowsOf } from '../../school/staff/handover.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { FileModule } from '../file/file.module.js';
import { ServiceDescriptionModule } from '../service-description/service-description.module.js';
import { MaterialViews } from './material-views.js';
import { ManyMaterialsController } from './many-materials.controller.js';
import { ManyMaterials } from './many-materials.js';
import { MaterialEvents } from './material-events.js';
import { MaterialFinder } from './material-finder.js';
import { MaterialController } from './material.controller.js';
import { Material } from './material.entity.js';
import { MaterialService } from './material.service.js';
import { TitleOfFile } from './title-of-file.js';
import { TagController } from './tag.controller.js';

@Module({
  imports: [TypeOrmModule.forFeature([Material]), FileModule, SchoolModule, ServiceDescriptionModule],
  controllers: [MaterialController, ManyMaterialsController, TagController],
  providers: [MaterialService, ManyMaterials, MaterialFinder, MaterialEvents, MaterialViews, TitleOfFile],
  exports: [MaterialService, MaterialFinder, MaterialEvents, MaterialViews],
})
export class MaterialModule {
  constructor(handover: Handover) {
    handover.add({ counts: 'materials', give: rowsOf('materials') });
  }
}
