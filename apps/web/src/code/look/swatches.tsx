/** Small pictures of forms, drawn by what draws the codes. */
import {
  drawCode,
  planSymbol,
  plainLook,
  type CodeDrawing,
  type FinderShape,
  type FrameForm,
  type LookDesign,
  type ModuleShape,
} from '@hapset/core';
import { useMemo, type ReactElement } from 'react';
import { CodePicture } from '../symbol/code-picture.js';

function drawSmall(look: Partial<LookDesign>): CodeDrawing | null {
  const plan = planSymbol('4');
  return plan.ok
    ? drawCode(plan.value, { look: { ...plainLook, ...look }, name: '', iconOf: () => null, measure: () => 0 })
    : null;
}

/** A part of a code, close up. */
function Cut({
  drawing,
  x,
  y,
  side,
}: {
  readonly drawing: CodeDrawing | null;
  readonly x: number;
  readonly y: number;
  readonly side: number;
}): ReactElement | null {
  const shape = drawing?.shapes[1];
  if (shape?.kind !== 'fill') return null;
  return (
    <svg viewBox={`${x} ${y} ${side} ${side}`} className="size-11" aria-hidden>
      <path d={shape.path} fillRule="evenodd" fill="currentColor" />
    </svg>
  );
}

export function ModuleSwatch({ shape }: { readonly shape: ModuleShape }): ReactElement {
  const drawing = useMemo(() => drawSmall({ modules: shape }), [shape]);
  return <Cut drawing={drawing} x={8} y={8} side={7} />;
}

export function FinderSwatch({ shape }: { readonly shape: FinderShape }): ReactElement {
  const drawing = useMemo(() => drawSmall({ finders: shape }), [shape]);
  return <Cut drawing={drawing} x={-0.5} y={-0.5} side={8} />;
}

export function FrameSwatch({ form }: { readonly form: FrameForm | null }): ReactElement | null {
  const drawing = useMemo(() => drawSmall({ frame: form }), [form]);
  return drawing && <CodePicture drawing={drawing} label="" className="h-12 w-11" />;
}
