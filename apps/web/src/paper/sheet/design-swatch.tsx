/** Small drawings of the designs: where number, code, picture and texts lie. */
import type { FaceLayoutName } from '@hapset/core';
import type { ReactElement } from 'react';

type Box = readonly [x: number, y: number, width: number, height: number];

interface Swatch {
  readonly code: readonly [x: number, y: number, side: number];
  /** Solid, or outlined. */
  readonly block?: Box;
  readonly outline?: Box;
  readonly picture?: Box;
  /** Lines of text; high ones are large letters. */
  readonly texts: readonly Box[];
}

/** In a page of 30 by 40. */
const posters: Readonly<Partial<Record<FaceLayoutName, Swatch>>> = {
  'big-number': {
    block: [3, 3, 7, 7],
    code: [7, 13, 16],
    texts: [
      [12, 4, 14, 2],
      [12, 7.5, 10, 2],
      [3, 32, 22, 1.4],
      [3, 35, 14, 1.4],
    ],
  },
  'picture-first': {
    picture: [5, 3, 20, 11],
    block: [3, 16, 4, 4],
    code: [14, 22, 13],
    texts: [
      [9, 17, 16, 2],
      [3, 24, 9, 1.4],
      [3, 27, 8, 1.4],
      [3, 30, 9, 1.4],
    ],
  },
  'task-first': {
    block: [3, 3, 6, 6],
    code: [3, 21, 14],
    texts: [
      [11, 3.5, 16, 2.4],
      [11, 7.5, 14, 2.4],
      [11, 11.5, 15, 2.4],
      [19, 24, 8, 1.6],
      [19, 27, 6, 1.4],
    ],
  },
  'two-languages': {
    block: [3, 3, 6, 6],
    code: [8, 12, 14],
    texts: [
      [11, 5, 14, 2],
      [3, 29, 10, 1.6],
      [3, 32, 8, 1.2],
      [17, 29, 10, 1.6],
      [19, 32, 8, 1.2],
    ],
  },
  'little-ink': {
    outline: [21, 3, 6, 6],
    code: [10, 16, 10],
    texts: [
      [3, 4, 15, 2],
      [3, 8, 12, 1.4],
      [3, 34, 14, 1.2],
    ],
  },
};

/** In a card of 40 by 26. */
const cards: Readonly<Partial<Record<FaceLayoutName, Swatch>>> = {
  'big-number': {
    block: [3, 4, 7, 7],
    code: [22, 6, 14],
    texts: [
      [12, 6, 8, 2],
      [3, 15, 15, 1.4],
      [3, 18, 12, 1.4],
    ],
  },
  'title-first': {
    code: [23, 8, 13],
    texts: [
      [3, 4, 18, 3],
      [3, 11, 15, 1.4],
      [3, 14, 12, 1.4],
    ],
  },
  'code-first': {
    code: [3, 4, 18],
    texts: [
      [24, 7, 12, 2],
      [24, 12, 10, 1.4],
      [24, 15, 8, 1.4],
    ],
  },
  'task-first': {
    code: [3, 6, 14],
    texts: [
      [20, 6, 16, 2.4],
      [20, 10, 14, 2.4],
      [20, 16, 9, 1.4],
    ],
  },
  'little-ink': {
    outline: [31, 3, 6, 6],
    code: [3, 8, 11],
    texts: [
      [17, 5, 11, 2],
      [17, 12, 16, 1.2],
      [17, 15, 12, 1.2],
    ],
  },
};

export function DesignSwatch({
  layout,
  isPoster,
}: {
  readonly layout: FaceLayoutName;
  readonly isPoster: boolean;
}): ReactElement | null {
  const swatch = (isPoster ? posters : cards)[layout];
  if (!swatch) return null;
  const [width, height] = isPoster ? [30, 40] : [40, 26];
  const { code, block, outline, picture, texts } = swatch;
  return (
    <svg viewBox={`-1 -1 ${width + 2} ${height + 2}`} aria-hidden className="h-11 text-ink">
      <rect width={width} height={height} rx="1.5" className="fill-print stroke-line-strong" strokeWidth="1" />
      {picture && <Rect box={picture} className="fill-line" />}
      {block && <Rect box={block} className="fill-ink" />}
      {outline && <Rect box={outline} className="fill-none stroke-ink" />}
      {texts.map((box) => (
        <Rect key={box.join()} box={box} className="fill-line-strong" />
      ))}
      <Rect box={[code[0], code[1], code[2], code[2]]} className="fill-ink" />
    </svg>
  );
}

function Rect({
  box: [x, y, width, height],
  className,
}: {
  readonly box: Box;
  readonly className: string;
}): ReactElement {
  return <rect x={x} y={y} width={width} height={height} rx="0.7" className={className} />;
}
