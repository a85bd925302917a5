/** What a camera sees around a symbol: its quiet zone, the paper's edge, the wall. */
import { paperReflectance } from '../../code/look/contrast.js';
import { quietZoneModules } from '../../code/symbol/plan.js';

/** Paper seen around the quiet zone, and wall around that, in modules. */
const paperBorderModules = 2;
const wallBorderModules = 1;
/** Quiet zone, paper and wall around a symbol, modules. */
export const borderModules = quietZoneModules + paperBorderModules + wallBorderModules;
/** Linear reflectance of the wall behind the paper. */
const wallReflectance = 0.45;

/** Linear reflectance at a point, in modules from the symbol's corner. @param ground of the symbol and its quiet zone */
export function surroundings(u: number, v: number, modules: number, ground: number): number {
  const outside = Math.max(-u, -v, u - modules, v - modules);
  return outside <= quietZoneModules
    ? ground
    : outside <= quietZoneModules + paperBorderModules
      ? paperReflectance
      : wallReflectance;
}
