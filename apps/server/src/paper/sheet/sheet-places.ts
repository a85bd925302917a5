/** Which codes are put on paper: of a lesson, of chosen stations or materials, of a collection; each its owner's own. */
import { Injectable } from '@nestjs/common';
import { limits, type SheetPlaces } from '@hapset/contract';
import { LessonService } from '../../lessons/lesson/lesson.service.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { StationService } from '../../lessons/station/station.service.js';
import { MaterialFinder } from '../../gather/material/material-finder.js';
import { placeAlone, type Place } from '../../lessons/station/place.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

export interface PlacesToPrint {
  /** Of the lesson, the collection, the material. */
  readonly name: string;
  readonly places: readonly Place[];
  /** How they were asked for. */
  readonly asked: SheetPlaces;
}

type FoundPlaces = Omit<PlacesToPrint, 'asked'>;

@Injectable()
export class SheetPlacesService {
  constructor(
    private readonly lessons: LessonService,
    private readonly stations: StationService,
    private readonly materials: MaterialService,
    private readonly finder: MaterialFinder,
  ) {}

  /** @throws ProblemError not-found for what is another's, invalid where nothing or more than one thing is asked for */
  async list(request: SheetPlaces, who: SignedIn): Promise<PlacesToPrint> {
    const { lessonId, stationIds, materialIds, tag } = request;
    if ([lessonId !== null, stationIds.length > 0, materialIds.length > 0, tag !== null].filter(Boolean).length !== 1)
      throw invalid('names no lesson, stations, materials or collection, or several of them');
    const found =
      lessonId !== null
        ? await this.ofLesson(lessonId, who)
        : stationIds.length > 0
          ? await this.ofStations(stationIds, who)
          : await this.ofMaterials(tag, materialIds, who);
    if (found.places.length === 0) throw invalid('has no codes');
    if (found.places.length > limits.sheetCodes) throw invalid(`has more than ${limits.sheetCodes} codes`);
    return { ...found, asked: request };
  }

  private async ofLesson(lessonId: string, who: SignedIn): Promise<FoundPlaces> {
    const lesson = await this.lessons.require(lessonId);
    if (lesson.ownerId !== who.id) throw notFound('lesson');
    return { name: lesson.name, places: await this.stations.placesOf([lesson]) };
  }

  private async ofStations(ids: readonly string[], who: SignedIn): Promise<FoundPlaces> {
    const found = await Promise.all(ids.map((id) => this.stations.place(id)));
    if (found.some(({ place }) => place.lesson?.ownerId !== who.id)) throw notFound('station');
    const places = found.map(({ place }) => place);
    return { name: nameOf(places, found[0]?.station.lessonName ?? ''), places };
  }

  private async ofMaterials(tag: string | null, ids: readonly string[], who: SignedIn): Promise<FoundPlaces> {
    const materials =
      tag === null ? await this.materials.requireOwn(ids, who.id) : await this.finder.listTagged(who.id, tag);
    const places = materials.map(placeAlone);
    return { name: nameOf(places, tag ?? 'From the shelf'), places };
  }
}

/** One thing alone gives its own name. */
function nameOf(places: readonly Place[], together: string): string {
  const [only] = places;
  return only && places.length === 1 ? titleOf(only) : together;
}

export function titleOf({ station, material }: Place): string {
  return station?.name ?? material.title;
}

function invalid(message: string): ProblemError {
  return new ProblemError('invalid', 'There is nothing to put on paper.', { fields: [{ field: 'places', message }] });
}
