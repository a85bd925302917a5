/** The last sheet of each place: a station's own, or the material's where it hangs in no lesson. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository } from 'typeorm';
import { Sheet } from './sheet.entity.js';
import type { Place } from '../../lessons/station/place.js';

@Injectable()
export class LastSheets {
  constructor(@InjectRepository(Sheet) private readonly sheets: Repository<Sheet>) {}

  /** In the order of the places. */
  async list(places: readonly Place[]): Promise<readonly (Sheet | null)[]> {
    const stationIds = places.flatMap((place) => place.station?.id ?? []);
    const materialIds = places.filter((place) => place.station === null).map((place) => place.material.id);
    const rows = await this.newest(stationIds, materialIds);
    return places.map(
      (place) =>
        rows.find((row) =>
          place.station
            ? row.stationId === place.station.id
            : row.stationId === null && row.materialId === place.material.id,
        ) ?? null,
    );
  }

  private async newest(stationIds: readonly string[], materialIds: readonly string[]): Promise<Sheet[]> {
    const none = ['-'];
    const ids = (await this.sheets
      .createQueryBuilder('sheet')
      .select('MAX(sheet.id)', 'id')
      .where('sheet.stationId IN (:...stations)', { stations: stationIds.length > 0 ? stationIds : none })
      .orWhere('(sheet.stationId IS NULL AND sheet.materialId IN (:...materials))', {
        materials: materialIds.length > 0 ? materialIds : none,
      })
      .groupBy('sheet.stationId')
      .addGroupBy('sheet.materialId')
      .getRawMany()) as { id: string }[];
    return ids.length === 0
      ? []
      : this.sheets.find({ where: { id: In(ids.map((row) => row.id)) }, relations: { print: true } });
  }
}
