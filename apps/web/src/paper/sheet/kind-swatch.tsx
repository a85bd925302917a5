/** Small drawings of the kinds of sheets: paper, and where codes lie on it. */
import type { SheetKind } from '@hapset/core';
import type { ReactElement } from 'react';

interface Swatch {
  /** Codes: x, y, side in a page of 30 × 40. */
  readonly codes: readonly (readonly [number, number, number])[];
  /** Lines: from and to. */
  readonly lines: readonly (readonly [number, number, number, number])[];
  readonly dashed?: readonly (readonly [number, number, number, number])[];
}

const swatches: Readonly<Record<SheetKind, Swatch>> = {
  poster: {
    codes: [[7, 11, 16]],
    lines: [
      [8, 6, 22, 6],
      [9, 32, 21, 32],
      [11, 35, 19, 35],
    ],
  },
  'table-card': {
    codes: [
      [4, 5, 8],
      [4, 25, 8],
    ],
    lines: [
      [15, 8, 26, 8],
      [15, 11, 23, 11],
      [15, 28, 26, 28],
      [15, 31, 23, 31],
    ],
    dashed: [[0, 20, 30, 20]],
  },
  'small-card': {
    codes: [
      [3, 3, 7],
      [17, 3, 7],
      [3, 16, 7],
      [17, 16, 7],
      [3, 29, 7],
      [17, 29, 7],
    ],
    lines: [
      [15, 0, 15, 40],
      [0, 13.3, 30, 13.3],
      [0, 26.6, 30, 26.6],
    ],
  },
  handout: {
    codes: [
      [4, 8, 6],
      [4, 18, 6],
      [4, 28, 6],
    ],
    lines: [
      [4, 4, 16, 4],
      [13, 10, 26, 10],
      [13, 13, 22, 13],
      [13, 20, 26, 20],
      [13, 23, 22, 23],
      [13, 30, 26, 30],
      [13, 33, 22, 33],
    ],
  },
  'student-card': {
    codes: [
      [3, 3, 6],
      [17, 3, 6],
      [3, 16, 6],
      [17, 16, 6],
      [3, 29, 6],
      [17, 29, 6],
    ],
    lines: [
      [15, 0, 15, 40],
      [0, 13.3, 30, 13.3],
      [0, 26.6, 30, 26.6],
    ],
  },
  label: {
    codes: [
      [3, 4, 4],
      [12.5, 4, 4],
      [22, 4, 4],
      [3, 13, 4],
      [12.5, 13, 4],
      [22, 13, 4],
      [3, 22, 4],
      [12.5, 22, 4],
      [22, 22, 4],
      [3, 31, 4],
      [12.5, 31, 4],
      [22, 31, 4],
    ],
    lines: [],
  },
};

export function KindSwatch({ kind }: { readonly kind: SheetKind }): ReactElement {
  const { codes, lines, dashed = [] } = swatches[kind];
  return (
    <svg viewBox="-1 -1 32 42" aria-hidden className="h-11 text-ink">
      <rect x="0" y="0" width="30" height="40" rx="1.5" className="fill-print stroke-line-strong" strokeWidth="1" />
      {lines.map((line) => (
        <path
          key={line.join()}
          d={`M${line[0]} ${line[1]}L${line[2]} ${line[3]}`}
          className="stroke-line-strong"
          strokeWidth="1.2"
        />
      ))}
      {dashed.map((line) => (
        <path
          key={line.join()}
          d={`M${line[0]} ${line[1]}L${line[2]} ${line[3]}`}
          className="stroke-muted"
          strokeWidth="1"
          strokeDasharray="2 1.5"
        />
      ))}
      {codes.map(([x, y, side]) => (
        <rect key={`${x} ${y}`} x={x} y={y} width={side} height={side} rx="0.8" fill="currentColor" />
      ))}
    </svg>
  );
}
