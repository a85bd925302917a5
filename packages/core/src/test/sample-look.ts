import { planSymbol, type SymbolPlan } from '../code/symbol/plan.js';
import type { ErrorCorrectionLevel } from '../code/symbol/versions.js';
import { drawCode, type CodeDrawing } from '../code/look/drawing.js';
import { iconOf } from '../code/look/icons.js';
import { plainLook, type LookDesign } from '../code/look/look.js';
export function planned(
  payload = 'https://cofferlane.example/leaf/field-guide',
  level?: ErrorCorrectionLevel,
): SymbolPlan {
  const plan = planSymbol(payload, level);
  if (!plan.ok) throw new Error(plan.problem.reason);
  return plan.value;
}

/** About as wide as the real fonts. */
export const measure = (text: string, _font: string, sizePt: number): number =>
  (text.length * sizePt * 25.4 * 0.52) / 72;
export const draw = (look: Partial<LookDesign>, plan = planned(), name = 'Field guide to limpets'): CodeDrawing =>
  drawCode(plan, { look: { ...plainLook, ...look }, name, iconOf, measure });

/** The numbers of path data, each command with its own. */
export function commands(path: string): readonly (readonly [string, readonly number[]])[] {
  return [...path.matchAll(/([a-zA-Z])([^a-zA-Z]*)/g)].map(([, command = '', numbers = '']) => [
    command,
    (numbers.match(/-?\d*\.?\d+/g) ?? []).map(Number),
  ]);
}

/** Is a point in what a path of boxes fills by the even-odd rule? Straight edges only; corners are cut across. */
export function inPath(path: string, px: number, py: number): boolean {
  let [x, y, startX, startY] = [0, 0, 0, 0];
  let odd = false;
  const to = (nx: number, ny: number): void => {
    if (y > py !== ny > py && px < ((nx - x) * (py - y)) / (ny - y) + x) odd = !odd;
    [x, y] = [nx, ny];
  };
  for (const [command, numbers] of commands(path)) {
    const at = (index: number): number => numbers.at(index) ?? 0;
    if (command === 'M') [x, y, startX, startY] = [at(0), at(1), at(0), at(1)];
    else if (command === 'h') to(x + at(0), y);
    else if (command === 'v') to(x, y + at(0));
    else if (command === 'z') to(startX, startY);
    else to(x + at(-2), y + at(-1));
  }
  return odd;
}
