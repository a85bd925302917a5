import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Empty, Failed, Loading } from '../design/list-states.js';
import { PageHead } from '../shell/page-head.js';
import { wordsFor } from '../wording/problems.js';
import { actWords } from '../wording/scanners.js';
import { devicesQuery } from './device.queries.js';

const engineWords = { zxing: 'reads like a current phone', zbar: 'reads like an older scanner' } as const;

export function Component(): ReactElement {
  const devices = useQuery(devicesQuery);
  return (
    <>
      <PageHead title="Devices" about="What students scan with. Every code is rehearsed on the devices of its class." />
      {devices.isPending && <Loading label="Devices are loading" />}
      {devices.isError && <Failed words={wordsFor(devices.error)} onRetry={() => void devices.refetch()} />}
      {devices.data?.length === 0 && <Empty title="No devices yet">The school’s administrator keeps this list.</Empty>}
      {devices.data && devices.data.length > 0 && (
        <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
          {devices.data.map((device) => (
            <li key={device.id} className="grid gap-x-6 gap-y-1 border-b border-line px-4 py-3.5 last:border-b-0 sm:grid-cols-[220px_1fr] sm:px-5">
              <span>
                <span className="block text-[15.5px] font-semibold">{device.name}</span>
                <span className="block text-[13.5px] text-muted">{device.count === null ? 'brought from home' : `${device.count} in the school`}</span>
              </span>
              <span className="text-[14px]">
                Preview {device.previewWidthPx} × {device.previewHeightPx}, sees {device.horizontalFovDeg}° across, in focus from {Math.round(device.nearestFocusM * 100)} cm
                <span className="block text-[13.5px] text-muted">
                  {engineWords[device.engine]}; blur {device.blurPx} px, noise {device.noiseGrey} grey levels in evening light
                </span>
                <span className="block text-[13.5px] text-muted">Its scanner {device.actsOn.length === 0 ? 'shows text only' : device.actsOn.map((act) => actWords[act]).join(', ')}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
