import type { CodeView } from '@hapset/contract';
import type { ReactElement } from 'react';

/** The code as it is, vector, with its quiet zone. An empty label is for codes beside their own name: nothing is read aloud. */
export function CodePicture({ code, label, className = '' }: { readonly code: Pick<CodeView, 'modules' | 'path'>; readonly label: string; readonly className?: string }): ReactElement {
  const quiet = 4;
  const side = code.modules + 2 * quiet;
  return (
    <svg viewBox={`${-quiet} ${-quiet} ${side} ${side}`} className={className} {...(label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })} shapeRendering="crispEdges">
      <rect x={-quiet} y={-quiet} width={side} height={side} fill="#fff" />
      <path d={code.path} fill="currentColor" />
    </svg>
  );
}
