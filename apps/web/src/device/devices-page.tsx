import { useQuery } from '@tanstack/react-query';
import type { DeviceView } from '@hapset/contract';
import { scannerActs, type ScannerAct } from '@hapset/core';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../account/session.queries.js';
import { Empty, Failed, Loading } from '../design/list-states.js';
import { useNotice } from '../design/notice.js';
import { PageHead } from '../shell/page-head.js';
import { wordsFor } from '../wording/problems.js';
import { engineWords } from '../wording/rehearsal.js';
import { actWords } from '../wording/scanners.js';
import { devicesQuery, useChangeDevice } from './device.queries.js';


/** What students scan with; the administrator says what each scanner acts on. */
export function Component(): ReactElement {
  const devices = useQuery(devicesQuery);
  const mayChange = useSession()?.role === 'administrator';
  return (
    <>
      <PageHead title="Devices" about="What students scan with. Every code is rehearsed on the devices of its class." />
      {devices.isPending && <Loading label="Devices are loading" />}
      {devices.isError && <Failed words={wordsFor(devices.error)} onRetry={() => void devices.refetch()} />}
      {devices.data?.length === 0 && <Empty title="No devices yet">The school’s administrator keeps this list.</Empty>}
      {devices.data && devices.data.length > 0 && (
        <ul aria-label="Devices" className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
          {devices.data.map((device) => (
            <DeviceRow key={device.id} device={device} mayChange={mayChange} />
          ))}
        </ul>
      )}
      <p className="mt-3 mb-0 text-[14.5px]">
        A device without a scanner reads codes at{' '}
        <Link to="/read" className="font-semibold text-ink">
          {window.location.host}/read
        </Link>
        : no account, nothing is kept, and after the first time no network is needed.
      </p>
    </>
  );
}

function DeviceRow({ device, mayChange }: { readonly device: DeviceView; readonly mayChange: boolean }): ReactElement {
  const { name, count, previewWidthPx, previewHeightPx, horizontalFovDeg, nearestFocusM, engine, blurPx, noiseGrey, actsOn } = device;
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-line px-4 py-3.5 last:border-b-0 sm:grid-cols-[220px_1fr] sm:px-5">
      <span>
        <span className="block text-[15.5px] font-semibold">{name}</span>
        <span className="block text-[13.5px] text-muted">{count === null ? 'brought from home' : `${count} in the school`}</span>
      </span>
      <div className="text-[14px]">
        Preview {previewWidthPx} × {previewHeightPx}, sees {horizontalFovDeg}° across, in focus from {Math.round(nearestFocusM * 100)} cm
        <span className="block text-[13.5px] text-muted">
          {engineWords[engine]}; blur {blurPx} px, noise {noiseGrey} grey levels in evening light
        </span>
        <span className="block text-[13.5px] text-muted">Its scanner {actsOn.length === 0 ? 'shows text only' : actsOn.map((act) => actWords[act]).join(', ')}</span>
        {mayChange && <ScannerForm device={device} />}
      </div>
    </li>
  );
}

/** Found out by scanning one code of each kind with the device; kept at once. */
function ScannerForm({ device: { id, name, actsOn } }: { readonly device: DeviceView }): ReactElement {
  const change = useChangeDevice(id);
  const notice = useNotice();
  const now = change.isPending ? change.variables : actsOn;
  const toggle = (act: ScannerAct): void => change.mutate(now.includes(act) ? now.filter((each) => each !== act) : [...now, act], { onError: (error) => notice({ words: wordsFor(error) }) });
  return (
    <details className="mt-1">
      <summary className="w-fit cursor-pointer py-1 text-[13.5px]">Say what its scanner does</summary>
      <fieldset className="m-0 flex flex-wrap gap-x-5 border-0 p-0" disabled={change.isPending}>
        <legend className="mb-1 p-0 text-[13.5px] text-muted">Scan one code of each kind with it. What is not ticked, it shows as text.</legend>
        {scannerActs.map((act) => (
          <label key={act} className="flex min-h-9 items-center gap-2">
            <input type="checkbox" aria-label={`${name} ${actWords[act]}`} className="size-4 accent-ink" checked={now.includes(act)} onChange={() => toggle(act)} /> {actWords[act]}
          </label>
        ))}
      </fieldset>
    </details>
  );
}
