import { Body, Controller, Param, Put } from '@nestjs/common';
import { MaterialService } from '../../gather/material/material.service.js';
import { StationService } from '../../lessons/station/station.service.js';
import { SaveRehearsalDto } from './rehearsal.dto.js';
import { RehearsalService } from './rehearsal.service.js';
import { placeAlone } from '../../lessons/station/place.js';

@Controller('api')
export class RehearsalController {
  constructor(
    private readonly rehearsals: RehearsalService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
  ) {}

  @Put('materials/:materialId/rehearsals/:rehearsalKey')
  async saveOfMaterial(
    @Param('materialId') materialId: string,
    @Param('rehearsalKey') key: string,
    @Body() body: SaveRehearsalDto,
  ): Promise<null> {
    await this.rehearsals.save(placeAlone(await this.materials.require(materialId)), key, body);
    return null;
  }

  @Put('stations/:stationId/rehearsals/:rehearsalKey')
  async saveOfStation(
    @Param('stationId') stationId: string,
    @Param('rehearsalKey') key: string,
    @Body() body: SaveRehearsalDto,
  ): Promise<null> {
    const { place } = await this.stations.place(stationId);
    await this.rehearsals.save(place, key, body);
    return null;
  }
}
