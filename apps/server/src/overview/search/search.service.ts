/** Finds a teacher's lessons, stations and materials by their names, with one letter wrong. */
import { Injectable } from '@nestjs/common';
import type { SearchResults } from '@hapset/contract';
import MiniSearch from 'minisearch';
import { MaterialFinder } from '../../gather/material/material-finder.js';
import { LessonService } from '../../lessons/lesson/lesson.service.js';
import { StationService } from '../../lessons/station/station.service.js';

/** Of each sort. */
const mostShown = 8;
const longestFind = 100;
/** Shorter words are taken as they are: with a letter wrong they could be anything. */
const shortestWithTypo = 4;

@Injectable()
export class SearchService {
  constructor(
    private readonly materials: MaterialFinder,
    private readonly lessons: LessonService,
    private readonly stations: StationService,
  ) {}

  async search(ownerId: string, find: string): Promise<SearchResults> {
    const wanted = find.slice(0, longestFind).trim();
    if (wanted === '') return { lessons: [], stations: [], materials: [] };
    const [lessons, stations, materials] = await Promise.all([
      this.lessons.listNames(ownerId),
      this.stations.listNames(ownerId),
      this.materials.listNames(ownerId),
    ]);
    return {
      lessons: best(lessons, wanted, ({ name }) => name).map(({ id, name, date }) => ({ id, name, date })),
      stations: best(stations, wanted, ({ name }) => name).map(({ stationId, lessonId, name, lessonName }) => ({
        stationId,
        lessonId,
        name,
        lessonName,
      })),
      materials: best(materials, wanted, ({ title }) => title).map(({ id, title, kind }) => ({ id, title, kind })),
    };
  }
}

/** The best of them whose name has all the words, or their beginnings. */
export function best<Item>(items: readonly Item[], find: string, nameOf: (item: Item) => string): readonly Item[] {
  const index = new MiniSearch<{ readonly id: number; readonly name: string }>({
    fields: ['name'],
    tokenize: wordsOf,
    processTerm: plain,
  });
  index.addAll(items.map((item, id) => ({ id, name: nameOf(item) })));
  return index
    .search(find, {
      prefix: true,
      fuzzy: (word) => (word.length >= shortestWithTypo ? 1 : false),
      combineWith: 'AND',
    })
    .slice(0, mostShown)
    .flatMap(({ id }) => items[Number(id)] ?? []);
}

/** Scripts without blanks are found by their characters. */
function wordsOf(text: string): string[] {
  return text
    .split(/[^\p{L}\p{M}\p{N}]+/u)
    .flatMap((word) => (/[\u3040-\u30ff\u3400-\u9fff]/u.test(word) ? [...word] : [word]))
    .filter((word) => word !== '');
}

/** Without case and accents. */
function plain(word: string): string {
  return word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
}
