/** How much a request's body may hold, by route: what its form needs, and no more. */
import { limits, routes, type RouteName } from '@hapset/contract';
import { rosterLimits } from '@hapset/core';
import type { ShapeLimits } from './json-shape.js';

export interface BodyBudget extends ShapeLimits {
  readonly bytes: number;
}

const kilobyte = 1024;
/** The largest form has a quarter of it. */
const membersOfOne = 100;
const usual: BodyBudget = { bytes: 64 * kilobyte, members: 400, membersOfOne, items: 1000, depth: 12 };
const manyItems: BodyBudget = {
  bytes: 2048 * kilobyte,
  members: limits.itemsAtOnce * 60,
  membersOfOne,
  items: limits.itemsAtOnce,
  depth: 16,
};
const roster: BodyBudget = {
  bytes: 3072 * kilobyte,
  members: rosterLimits.students * 7 + 10,
  membersOfOne,
  items: rosterLimits.students,
  depth: 4,
};
const cards: BodyBudget = { ...usual, bytes: 256 * kilobyte, items: rosterLimits.students };
const rehearsals: BodyBudget = { bytes: 512 * kilobyte, members: 12_000, membersOfOne, items: 200, depth: 12 };
const description: BodyBudget = { bytes: 256 * kilobyte, members: 5000, membersOfOne, items: 1000, depth: 24 };

const own: Partial<Record<RouteName, BodyBudget>> = {
  signIn: { bytes: 4 * kilobyte, members: 20, membersOfOne, items: 10, depth: 4 },
  createMaterials: manyItems,
  addStations: manyItems,
  matchShelf: { ...manyItems, members: 10 },
  createLesson: manyItems,
  compareRoster: roster,
  previewCards: cards,
  makeCards: cards,
  addStudentPhoto: { ...usual, bytes: 1024 * kilobyte },
  saveMaterialRehearsal: rehearsals,
  saveStationRehearsal: rehearsals,
  keepService: description,
  tryService: description,
  changeMaterial: { bytes: 256 * kilobyte, members: 2000, membersOfOne, items: limits.itemsAtOnce, depth: 16 },
  saveWrittenPage: { bytes: 1024 * kilobyte, members: 40_000, membersOfOne, items: 5000, depth: 40 },
  changeTeacherClasses: { bytes: 512 * kilobyte, members: 2100, membersOfOne, items: 1000, depth: 6 },
};

const patterns = (Object.entries(routes) as [RouteName, (typeof routes)[RouteName]][]).map(
  ([name, { method, path }]) => ({
    method,
    matches: new RegExp(`^${path.replace(/[.]/g, '\\.').replace(/:[a-zA-Z]+/g, '[^/]+')}/?$`),
    budget: own[name] ?? usual,
  }),
);

/** What an address that is no route may hold: it is answered without being looked at. */
export function budgetOf(method: string, path: string): BodyBudget {
  return patterns.find((route) => route.method === method && route.matches.test(path))?.budget ?? usual;
}
