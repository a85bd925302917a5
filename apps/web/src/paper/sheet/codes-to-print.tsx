/** Which stations of the lesson go on paper. */
import type { BenchRow } from '@hapset/contract';
import type { ReactElement } from 'react';
import { Tick } from '../../platform/design/tick.js';
import { t } from '../words.js';

interface Props {
  readonly stations: readonly BenchRow[];
  readonly leftOut: readonly string[];
  readonly onChange: (leftOut: readonly string[]) => void;
}

export function CodesToPrint({ stations, leftOut, onChange }: Props): ReactElement {
  const left = stations.length - leftOut.length;
  return (
    <details className="mt-4 border-t border-line pt-3">
      <summary className="cursor-pointer text-small font-semibold">
        {left === stations.length
          ? t('codesToPrint.stationsAll', { left })
          : t('codesToPrint.stationsOf', { chosen: left, total: stations.length })}
      </summary>
      <div className="mt-1">
        {stations.map(({ stationId, name }, index) => {
          const ticked = !leftOut.includes(stationId);
          return (
            <Tick
              key={stationId}
              words={`${index + 1}  ${name}`}
              ticked={ticked}
              disabled={ticked && left === 1}
              onTick={(wanted) => onChange(wanted ? leftOut.filter((id) => id !== stationId) : [...leftOut, stationId])}
            />
          );
        })}
      </div>
    </details>
  );
}
