/** A code on the screen that a phone on the students' network scans: whether it reaches this server, and by which address. */
import { routes, type SetupSteps } from '@hapset/contract';
import { originOf, plainDrawing, planSymbol } from '@hapset/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { call } from '../../platform/api/client.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { TextField } from '../../platform/design/field.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { setupStepsQuery } from './setup.queries.js';
import { t } from './words.js';

const lookMs = 2000;

export function ArrivalPart({ view, reached }: { readonly view: SetupSteps; readonly reached: boolean }): ReactElement {
  const make = useMutation({ mutationFn: () => call(routes.makeArrival) });
  const { arrival } = view;
  return (
    <div className="mt-2.5">
      {arrival && (
        <p role="status" className="mt-0 mb-2.5 text-body font-semibold">
          {t(arrival.address.startsWith('https:') ? 'arrival.cameWithHttps' : 'arrival.cameWithoutHttps', {
            address: arrival.address,
            ago: ago(arrival.arrivedAt),
          })}
          {!reached && ` ${t('arrival.otherAddress')}`}
        </p>
      )}
      {make.isError && <Alert words={wordsFor(make.error)} />}
      {make.data ? (
        <ShownCode token={make.data.token} publicAddress={view.publicAddress} />
      ) : (
        <Button tone={reached ? 'plain' : 'main'} disabled={make.isPending} onClick={() => make.mutate()}>
          {reached ? t('arrival.tryAgain') : t('arrival.show')}
        </Button>
      )}
    </div>
  );
}

function ShownCode({ token, publicAddress }: { readonly token: string; readonly publicAddress: string }): ReactElement {
  useQuery({ ...setupStepsQuery, refetchInterval: lookMs });
  const [address, setAddress] = useState(publicAddress);
  const origin = originOf(address.trim());
  const payload = origin === null ? null : `${origin}/p/arrivals/${token}`;
  const planned = payload === null ? null : planSymbol(payload);
  return (
    <div className="flex flex-wrap items-start gap-5">
      {planned?.ok && (
        <CodePicture
          drawing={plainDrawing(planned.value)}
          label={t('arrival.code')}
          className="w-52 shrink-0 rounded-sheet border border-line bg-print"
        />
      )}
      <div className="min-w-0 flex-1 basis-64">
        <ol className="mt-0 mb-3 list-decimal pl-5 text-body">
          <li>{t('arrival.takePhone')}</li>
          <li>{t('arrival.scan')}</li>
          <li>{t('arrival.seen')}</li>
        </ol>
        <TextField
          label={t('arrival.addressToTry')}
          hint={t('arrival.addressHint')}
          value={address}
          onChange={(event) => setAddress(event.target.value)}
          problem={origin === null ? t('arrival.addressWrong') : undefined}
        />
      </div>
    </div>
  );
}
