/** Prints made through the application's own route, and the files that come of them. */
import type { SheetChoices, SheetPlaces, SheetWarning } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import type { Test } from 'supertest';
import type { Scene } from './scene.js';

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
