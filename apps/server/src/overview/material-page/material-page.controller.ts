import { Controller, Get, Param } from '@nestjs/common';
import type { MaterialPage } from '@hapset/contract';
import { MaterialService } from '../../gather/material/material.service.js';
import { placeAlone } from '../../lessons/station/place.js';
import { StationService } from '../../lessons/station/station.service.js';
import { MaterialPageService } from './material-page.service.js';

@Controller('api')
export class MaterialPageController {
  constructor(
    private readonly pages: MaterialPageService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
  ) {}

  @Get('materials/:materialId')
  async ofMaterial(@Param('materialId') materialId: string): Promise<MaterialPage> {
    return this.pages.page(placeAlone(await this.materials.require(materialId)), null);
  }

  @Get('stations/:stationId')
  async ofStation(@Param('stationId') stationId: string): Promise<MaterialPage> {
    const { place, station } = await this.stations.place(stationId);
    return this.pages.page(place, station);
  }
}
