/** Words of a drawing as outlines: what leaves the server looks the same wherever its fonts are missing. */
import type { CodeDrawing, DrawnShape } from '@hapset/core';
import { outlineText } from '../../code/typeface/outline-text.js';

export function outlined(drawing: CodeDrawing): CodeDrawing {
  return { ...drawing, shapes: drawing.shapes.flatMap(outlinedShape) };
}

function outlinedShape(shape: DrawnShape): readonly DrawnShape[] {
  if (shape.kind !== 'text') return [shape];
  const { lines, size, x, baselines, paint } = shape;
  return lines.map((line, index) => ({
    kind: 'fill',
    path: outlineText(line, 'text-bold', { size, x, baseline: baselines[index] ?? 0 }),
    paint,
  }));
}
