import type { RehearsalResult, RehearsalView } from '@hapset/contract';
import { readerEngineNames, type ReaderEngineName } from '@hapset/core';
import type { ReactElement } from 'react';
import { metres, percent } from '../../platform/wording/figures.js';
import { differenceSentence, readerWords } from '../../platform/wording/rehearsal.js';
import { t } from '../words.js';

/** Each engine on each device; the one that the device resembles decides, the others are shown. */
export function OtherReaders({
  rehearsal: { devices },
  results,
  onOpen,
}: {
  readonly rehearsal: RehearsalView;
  readonly results: readonly RehearsalResult[];
  /** They are asked once somebody looks. */
  readonly onOpen: () => void;
}): ReactElement {
  const confidence = Math.min(...results.map((result) => result.confidence));
  return (
    <details className="mt-2 text-row" onToggle={(event) => event.currentTarget.open && onOpen()}>
      <summary className="w-fit cursor-pointer py-1 font-semibold">
        {t('otherReaders.everyReaderOnEveryDevice')}
      </summary>
      <div className="overflow-x-auto">
        <table className="w-full border-collapse text-left text-small">
          <thead>
            <tr className="border-b border-line">
              <th scope="col" className="py-1 pr-4 font-semibold">
                {t('otherReaders.device')}
              </th>
              {readerEngineNames.map((engine) => (
                <th key={engine} scope="col" className="py-1 pr-4 font-semibold whitespace-nowrap">
                  {readerWords[engine]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {devices.map((device) => {
              const result = results.find(({ deviceId }) => deviceId === device.id);
              return (
                <tr key={device.id}>
                  <th scope="row" className="py-1 pr-4 font-normal">
                    {device.name}
                  </th>
                  {readerEngineNames.map((engine) => (
                    <td
                      key={engine}
                      className={`py-1 pr-4 ${engine === device.engine ? 'font-semibold' : 'text-muted'}`}
                    >
                      {result ? cell(result, engine, device.engine) : ''}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className="mt-1.5 mb-0 text-note text-muted">
        {t('otherReaders.theResultInBoldCounts', { percent: percent(confidence) })}
      </p>
    </details>
  );
}

function cell({ reachM, misread, others }: RehearsalResult, engine: ReaderEngineName, own: ReaderEngineName): string {
  const found = engine === own ? { reachM, misread } : others.find((other) => other.engine === engine);
  if (!found) return t('otherReaders.reading');
  if (found.misread) return t('otherReaders.reads', { difference: differenceSentence(found.misread) });
  return found.reachM === 0 ? t('otherReaders.notRead') : metres(found.reachM);
}
