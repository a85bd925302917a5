import { Body, Controller, Get, Param, Put, Query, Res } from '@nestjs/common';
import { fileName } from '@hapset/core';
import { placeAlone } from '../../lessons/station/place.js';
import type { Response } from 'express';
import { Clock } from '../../platform/clock/clock.js';
import { LessonService } from '../../lessons/lesson/lesson.service.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { StationService } from '../../lessons/station/station.service.js';
import { contentTypes } from './code-picture.js';
import { writeZip } from './write-zip.js';
import { PictureService, type NamedPicture } from './picture.service.js';
import { readPictureOptions } from './picture-options.js';
import { nameFile } from './send-file.js';
import { ShowWebPictureDto } from './show-web-picture.dto.js';

type Asked = Readonly<Record<string, unknown>>;

@Controller('api')
export class PictureController {
  constructor(
    private readonly pictures: PictureService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
    private readonly lessons: LessonService,
    private readonly clock: Clock,
  ) {}

  @Get('materials/:materialId/picture')
  async ofMaterial(
    @Param('materialId') materialId: string,
    @Query() query: Asked,
    @Res() response: Response,
  ): Promise<void> {
    const options = readPictureOptions(query);
    const { name, bytes } = await this.pictures.draw(
      placeAlone(await this.materials.require(materialId)),
      null,
      options,
    );
    nameFile(response, { type: contentTypes[options.format], name, disposition: 'attachment' }).send(bytes);
  }

  @Get('stations/:stationId/picture')
  async ofStation(
    @Param('stationId') stationId: string,
    @Query() query: Asked,
    @Res() response: Response,
  ): Promise<void> {
    const options = readPictureOptions(query);
    const { place, station } = await this.stations.place(stationId);
    const { name, bytes } = await this.pictures.draw(place, station.position, options);
    nameFile(response, { type: contentTypes[options.format], name, disposition: 'attachment' }).send(bytes);
  }

  @Get('lessons/:lessonId/pictures')
  async ofLesson(@Param('lessonId') lessonId: string, @Query() query: Asked, @Res() response: Response): Promise<void> {
    const options = readPictureOptions(query);
    const lesson = await this.lessons.require(lessonId);
    const places = await this.stations.placesOf([lesson]);
    nameFile(response, {
      type: 'application/zip',
      name: fileName(`${lesson.name}, codes`, null, 'zip'),
      disposition: 'attachment',
    });
    const leftOut: string[] = [];
    const files = async function* (pictures: PictureService): AsyncGenerator<NamedPicture | null> {
      for await (const { place, picture } of pictures.drawAll(places, options)) {
        if (!picture) leftOut.push(place.station?.name ?? place.material.title);
        yield picture;
      }
    };
    await writeZip(files(this.pictures), this.clock.now(), response, () => leftOut);
  }

  @Put('materials/:materialId/web-picture')
  async show(@Param('materialId') materialId: string, @Body() { shown }: ShowWebPictureDto): Promise<null> {
    await this.materials.showPicture(await this.materials.require(materialId), shown);
    return null;
  }
}
