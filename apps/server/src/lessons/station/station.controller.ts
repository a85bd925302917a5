import { Body, Controller, Delete, Param, Patch, Post, Put } from '@nestjs/common';
import type { AddedView } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { AddStationsDto, ChangeStationDto, OrderStationsDto } from './station.dto.js';
import { StationService } from './station.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api')
export class StationController {
  constructor(private readonly stations: StationService) {}

  @Post('lessons/:lessonId/stations')
  async add(
    @Param('lessonId') lessonId: string,
    @Body() body: AddStationsDto,
    @Who() who: SignedIn,
  ): Promise<AddedView> {
    return { stationIds: await this.stations.add(lessonId, body, who.id) };
  }

  @Put('lessons/:lessonId/station-order')
  async order(@Param('lessonId') lessonId: string, @Body() body: OrderStationsDto): Promise<null> {
    await this.stations.order(lessonId, body.stationIds);
    return null;
  }

  @Patch('stations/:stationId')
  async change(@Param('stationId') stationId: string, @Body() body: ChangeStationDto): Promise<null> {
    await this.stations.change(stationId, body);
    return null;
  }

  @Delete('stations/:stationId')
  async remove(@Param('stationId') stationId: string): Promise<null> {
    await this.stations.remove(stationId);
    return null;
  }

  @Post('stations/:stationId/restore')
  async restore(@Param('stationId') stationId: string): Promise<null> {
    await this.stations.restore(stationId);
    return null;
  }
}
