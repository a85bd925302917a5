/** A real device, now: the code on the screen at its printed size, and what the device made of it. */
import type { MaterialPage } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useRef, useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { Panel } from '../../platform/design/panel.js';
import { materialPageQuery } from '../../gather/material/material.queries.js';
import type { PlaceId } from '../../gather/material/place-id.js';
import { PageHead } from '../../platform/design/page-head.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { Calibrate } from './calibrate.js';
import { nominalPxPerMm, readPxPerMm, shownSize } from './calibration.js';
import { TryoutResults } from './tryout-results.js';
import { useListen } from './tryout.queries.js';
import { t } from '../words.js';

export function TryPage(): ReactElement {
  const { materialId, stationId } = useParams();
  const place: PlaceId = stationId === undefined ? { materialId: materialId ?? '' } : { stationId };
  const page = useQuery(materialPageQuery(place));
  if (hasFailed(page)) return <Failed words={wordsFor(page.error)} onRetry={() => void page.refetch()} />;
  if (!page.data) return <Loading label={t('tryPage.theCodeIsLoading')} />;
  return <TryDevice page={page.data} />;
}

function TryDevice({ page }: { readonly page: MaterialPage }): ReactElement {
  const { material, station, code } = page;
  const back = station ? `/lessons/${station.lessonId}/stations/${station.stationId}` : `/shelf/${material.id}`;
  const byShortLink = code?.carry === 'short-link';
  const listen = useListen(material.id);
  const { mutate } = listen;
  useEffect(() => {
    if (byShortLink) mutate();
  }, [byShortLink, mutate]);
  return (
    <>
      <PageHead
        title={t('tryPage.tryADevice')}
        trail={
          <Link to={back} className="text-ink/80">
            {station?.name ?? material.title}
          </Link>
        }
        actions={
          <Link to={back} className={buttonClass('main')}>
            {t('tryPage.done')}
          </Link>
        }
      />
      {code ? (
        <div className="grid grid-cols-1 gap-4 lg:grid-cols-[minmax(0,1fr)_420px]">
          <OnScreen page={page} />
          <div className="flex min-w-0 flex-col gap-3">
            <Panel title={byShortLink ? t('tryPage.pointADeviceAtIt') : t('tryPage.pointADeviceAtIt2')}>
              {byShortLink ? (
                <p className="m-0 text-body" role="status">
                  {listen.isError ? wordsFor(listen.error) : t('tryPage.waitingADeviceAppearsBelow')}
                </p>
              ) : (
                <p className="m-0 text-body">
                  {t('tryPage.itShouldShowExactlyThis')}{' '}
                  <span className="mt-1 block max-h-32 overflow-auto rounded-small bg-band/60 px-3 py-2 font-mono text-small break-words whitespace-pre-wrap">
                    {code.payload}
                  </span>
                </p>
              )}
            </Panel>
            <TryoutResults page={page} listening={byShortLink} />
          </div>
        </div>
      ) : (
        <p>{t('tryPage.tooLongForAnyCode')}</p>
      )}
    </>
  );
}

function OnScreen({ page: { code, rehearsal } }: { readonly page: MaterialPage }): ReactElement {
  const [pxPerMm, setPxPerMm] = useState(() => readPxPerMm(localStorage));
  const [calibrating, setCalibrating] = useState(false);
  const frame = useRef<HTMLDivElement>(null);
  const [framePx, setFramePx] = useState(400);
  useLayoutEffect(() => {
    const measure = (): void => setFramePx(Math.min(frame.current?.clientWidth ?? 400, window.innerHeight - 220));
    measure();
    window.addEventListener('resize', measure);
    return () => window.removeEventListener('resize', measure);
  }, []);
  if (!code) return <></>;
  const scale = pxPerMm ?? nominalPxPerMm;
  const { sizeMm, nearer } = shownSize(rehearsal.sizeMm, code.modules, Math.max(160, framePx), scale);
  const sidePx = sizeMm * (1 + 8 / code.modules) * scale;
  return (
    <section className="min-w-0 rounded-sheet border border-line bg-sheet p-4">
      <div ref={frame} className="-m-4 flex min-w-0 justify-center overflow-hidden rounded-t-sheet bg-print p-4">
        <div className="text-print-ink" style={{ width: sidePx }}>
          <CodePicture drawing={code.drawing} label={t('tryPage.codeToTry')} className="block w-full" />
        </div>
      </div>
      <div className="mt-7 flex flex-wrap items-center gap-x-4 gap-y-2 text-row">
        <span className="min-w-0 flex-1">
          {nearer === 1
            ? t('tryPage.asPrintedMmWide', { shownMm: Math.round(sizeMm) })
            : t('tryPage.mmWideHereMmWhen', {
                shownMm: Math.round(sizeMm),
                printedMm: rehearsal.sizeMm,
                nearM: Math.round(nearer * rehearsal.distanceM * 10) / 10,
                farM: rehearsal.distanceM,
              })}
          {pxPerMm === null && <span className="block">{t('tryPage.thisScreenIsNotMeasured')}</span>}
        </span>
        <Button onClick={() => setCalibrating(true)}>
          {pxPerMm === null ? t('tryPage.measureThisScreen') : t('tryPage.measureAgain')}
        </Button>
      </div>
      {calibrating && (
        <Calibrate
          begin={scale}
          onKeep={(found) => {
            setPxPerMm(found);
            setCalibrating(false);
          }}
          onClose={() => setCalibrating(false)}
        />
      )}
    </section>
  );
}
