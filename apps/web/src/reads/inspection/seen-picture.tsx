import type { FoundCode } from '@hapset/readers';
import type { ReactElement } from 'react';
import { t } from '../words.js';

export interface SeenPictureFacts {
  /** Of the picture itself, in this page only. */
  readonly address: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly codes: readonly FoundCode[];
}

/** The picture with its codes marked, each with its number in the list below. */
export function SeenPicture({
  seen: { address, widthPx, heightPx, codes },
  numberOf,
}: {
  readonly seen: SeenPictureFacts;
  readonly numberOf: (text: string) => number;
}): ReactElement {
  const size = Math.max(widthPx, heightPx) / 22;
  return (
    <div className="relative w-fit overflow-hidden rounded-small border border-line">
      <img
        src={address}
        alt={t('seenPicture.pictureWithCodes', { count: codes.length })}
        className="block max-h-64 max-w-full"
      />
      <svg viewBox={`0 0 ${widthPx} ${heightPx}`} className="absolute inset-0 size-full" aria-hidden>
        {codes.map(({ text, corners }, index) => {
          const [x, y] = [
            corners.reduce((sum, corner) => sum + corner.x, 0) / 4,
            corners.reduce((sum, corner) => sum + corner.y, 0) / 4,
          ];
          return (
            <g key={index}>
              <polygon
                points={corners.map((corner) => `${corner.x},${corner.y}`).join(' ')}
                className="fill-marker/25 stroke-marker"
                strokeWidth={size / 6}
              />
              <circle cx={x} cy={y} r={size * 0.8} className="fill-marker" />
              <text
                x={x}
                y={y}
                textAnchor="middle"
                dominantBaseline="central"
                fontSize={size}
                className="fill-ink font-text font-bold"
              >
                {numberOf(text)}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
