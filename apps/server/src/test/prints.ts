/** Prints made through the application's own route, and the files that come of them. */
import type { PrintView, SheetChoices, SheetPlaces, SheetWarning } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import type { Test } from 'supertest';
import { words, type Scene } from './scene.js';
import { until } from './until.js';

export type PrintChoices = Partial<SheetChoices> & Pick<SheetChoices, 'kind'>;

export const noPlaces: SheetPlaces = { lessonId: null, stationIds: [], materialIds: [], tag: null };

/** What is not chosen is plain, on A4. */
export function makePrint(
  scene: Scene,
  choices: PrintChoices,
  places: SheetPlaces,
  goAhead: readonly SheetWarning[] = [],
): Promise<Test> {
  return scene.server.as('Maren', 'POST', '/api/prints', {
    places,
    choices: { ...plainChoices(choices.kind, 'A4'), ...choices },
    goAhead,
  });
}

export async function fileOf(scene: Scene, path: string): Promise<Buffer> {
  const response = await scene.server.file('Maren', path);
  expect(response.status).toBe(200);
  return response.body as Buffer;
}

export function readPrint(scene: Scene, id: string): Promise<PrintView> {
  return scene.server.ok<PrintView>('Maren', 'GET', `/api/prints/${id}`);
}

/** Waits until a print has that state. */
export function printInState(scene: Scene, id: string, state: PrintView['state']): Promise<PrintView> {
  return until(
    () => readPrint(scene, id),
    (found) => found.state === state,
    20_000,
  );
}

/** A lesson whose posters, three copies of each, are more than are drawn at once. @returns its id */
export function lessonOfLongPrints(scene: Scene): Promise<string> {
  const items = Array.from({ length: 7 }, (_, index) => words(`Station ${index + 1}: look and write`));
  return scene.rehearsedLesson(items, 3);
}
