/**
 * The geometry of a code in its plain look: one path in module units for SVG and PDF alike. Dark modules of a
 * row are joined to runs, so that no hairline shows between them and the path stays short.
 */
import { quietZoneModules, type SymbolPlan } from '../symbol/plan.js';

/**
 * SVG path data of the dark modules, one unit a module, origin at the symbol's top left corner.
 * @param offset added to both coordinates, in modules
 */
export function outlinePath(plan: Pick<SymbolPlan, 'modules' | 'matrix'>, offset = 0): string {
  const parts: string[] = [];
  for (let row = 0; row < plan.modules; row += 1) {
    for (let column = 0; column < plan.modules; column += 1) {
      if (plan.matrix[row * plan.modules + column] !== 1) continue;
      let end = column + 1;
      while (end < plan.modules && plan.matrix[row * plan.modules + end] === 1) end += 1;
      parts.push(`M${column + offset} ${row + offset}h${end - column}v1h${column - end}z`);
      column = end;
    }
  }
  return parts.join('');
}

/** A whole SVG file of the code with its quiet zone; `sizeMm` is the symbol's side without it. */
export function codeSvg(plan: SymbolPlan, sizeMm: number, title: string): string {
  const side = plan.modules + 2 * quietZoneModules;
  const wholeMm = Math.round((sizeMm / plan.modules) * side * 100) / 100;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${wholeMm}mm" height="${wholeMm}mm" viewBox="0 0 ${side} ${side}" role="img" shape-rendering="crispEdges">`,
    `<title>${escapeXml(title)}</title>`,
    `<rect width="${side}" height="${side}" fill="#fff"/>`,
    `<path d="${outlinePath(plan, quietZoneModules)}" fill="#000"/>`,
    '</svg>\n',
  ].join('');
}

/**
 * Grey pixels of the code with its quiet zone, every module on whole pixels.
 * @param pixelsPerModule whole number from 1
 */
export function codePixels(plan: SymbolPlan, pixelsPerModule: number): { widthPx: number; grey: Uint8Array } {
  if (!Number.isInteger(pixelsPerModule) || pixelsPerModule < 1) throw new RangeError(`pixelsPerModule must be a whole number from 1, got ${pixelsPerModule}`);
  const side = plan.modules + 2 * quietZoneModules;
  const widthPx = side * pixelsPerModule;
  const grey = new Uint8Array(widthPx * widthPx).fill(255);
  for (let y = 0; y < widthPx; y += 1) {
    const row = Math.floor(y / pixelsPerModule) - quietZoneModules;
    if (row < 0 || row >= plan.modules) continue;
    for (let x = 0; x < widthPx; x += 1) {
      const column = Math.floor(x / pixelsPerModule) - quietZoneModules;
      if (column >= 0 && column < plan.modules && plan.matrix[row * plan.modules + column] === 1) grey[y * widthPx + x] = 0;
    }
  }
  return { widthPx, grey };
}

function escapeXml(text: string): string {
  return text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);
}
