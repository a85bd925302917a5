import type { MaterialPage, ShortLinkDetails, ShortLinkView } from '@hapset/contract';
import { isAlwaysOpen, visitorKinds } from '@hapset/core';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed } from '../../platform/design/list-states.js';
import { FoldingPanel } from '../../platform/design/panel.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { benchQuery } from '../../lessons/lesson/lesson.queries.js';
import { ago } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { lessonOpening } from './lesson-opening.js';
import { OpeningForm } from './opening-form.js';
import { ReplaceShortLink } from './replace-short-link.js';
import { shortLinkQuery } from './short-link.queries.js';
import { t } from '../words.js';

const ChangeTarget = lazy(() =>
  import('./change-target.js').then(({ ChangeTarget: component }) => ({ default: component })),
);

const BarChart = lazy(() =>
  import('../../platform/design/bar-chart.js').then(({ BarChart: component }) => ({ default: component })),
);

/** The material's short link: where it leads, when, and how often it is opened. */
export function ShortLinkPart({
  page,
  link,
}: {
  readonly page: MaterialPage;
  readonly link: ShortLinkView;
}): ReactElement {
  const [pointing, setPointing] = useState(false);
  const [shown, setShown] = useState(false);
  const { material, code } = page;
  const carried = code?.carry === 'short-link';
  return (
    <>
      <FoldingPanel
        id="short-link"
        name={t('shortLinkPart.theShortLink')}
        calm={link.open && !link.shortForm}
        title={t('shortLinkPart.shortLink')}
        aside={[
          ...(carried ? [] : [t('shortLinkPart.notInTheCodeNow')]),
          ...(link.open ? [] : [t('shortLinkPart.closedNow')]),
          link.opens === 0 ? t('shortLinkPart.notOpenedYet') : t('shortLinkPart.openedTimes', { count: link.opens }),
        ].join(' · ')}
        action={
          material.link !== null && <Button onClick={() => setPointing(true)}>{t('shortLinkPart.changeTarget')}</Button>
        }
      >
        <p className="m-0 font-mono text-group break-all">{link.inLetters}</p>
        <p className="mt-0.5 mb-0 text-small text-muted">{t('shortLinkPart.asPrintedForAnyoneWho')}</p>
        {link.shortForm && <ReplaceShortLink materialId={material.id} />}
        <details className="mt-1.5 text-row" onToggle={(event) => setShown(event.currentTarget.open)}>
          <summary className="w-fit cursor-pointer py-1 text-small text-muted">
            {t('shortLinkPart.openingHoursScansAndHistory')}
          </summary>
          {shown && <Details page={page} />}
        </details>
      </FoldingPanel>
      <Suspense>{pointing && <ChangeTarget page={page} onClose={() => setPointing(false)} />}</Suspense>
    </>
  );
}

function Details({ page }: { readonly page: MaterialPage }): ReactElement {
  const details = useQuery(shortLinkQuery(page.material.id));
  const lesson =
    useQuery({ ...benchQuery(page.station?.lessonId ?? ''), enabled: page.station !== null }).data?.lesson ?? null;
  if (hasFailed(details)) return <Failed words={wordsFor(details.error)} onRetry={() => void details.refetch()} />;
  if (!details.data)
    return (
      <p className="m-0 py-2 text-muted" role="status">
        {t('shortLinkPart.loading')}
      </p>
    );
  const { data } = details;
  return (
    <div className="flex flex-col gap-4 pt-1">
      <section>
        <h3 className="m-0 text-body">
          {isAlwaysOpen(data.opening) ? t('shortLinkPart.openAtAnyTime') : t('shortLinkPart.openingHoursByTheSchools')}
        </h3>
        <OpeningForm link={data} page={page} lesson={lesson && lessonOpening(lesson)} />
      </section>
      <Openings link={data} />
      <History page={page} link={data} />
    </div>
  );
}

function Openings({ link: { days, hours, visitors, opens } }: { readonly link: ShortLinkDetails }): ReactElement {
  return (
    <section>
      <h3 className="m-0 text-body">{t('shortLinkPart.openedInTheLast30')}</h3>
      {opens === 0 ? (
        <p className="m-0 text-muted">{t('shortLinkPart.notOpenedYetRobotsAnd')}</p>
      ) : (
        <>
          <p className="m-0 text-muted">
            {t('shortLinkPart.onlyCountsAreKeptNothing', {
              visitors: visitorKinds
                .filter((kind) => visitors[kind] > 0)
                .map((kind) => t(`visitorCounts.${kind}`, { count: visitors[kind] }))
                .join(', '),
            })}
          </p>
          <Suspense fallback={<div className="h-40" />}>
            <div className="grid gap-4 sm:grid-cols-2">
              <BarChart
                label={t('shortLinkPart.byDay')}
                labels={days.map(({ day }) => day.slice(5))}
                values={days.map((day) => day.opens)}
              />
              <BarChart
                label={t('shortLinkPart.byHourOfTheDay')}
                labels={hours.map((_, hour) => String(hour))}
                values={hours}
              />
            </div>
          </Suspense>
        </>
      )}
    </section>
  );
}

function History({
  page: { material },
  link: { turns },
}: {
  readonly page: MaterialPage;
  readonly link: ShortLinkDetails;
}): ReactElement {
  const change = useChangeMaterial(material.id);
  return (
    <section>
      <h3 className="m-0 text-body">{t('shortLinkPart.earlierTargets')}</h3>
      {turns.length === 0 ? (
        <p className="m-0 text-muted">{t('shortLinkPart.itHasHadOneTarget')}</p>
      ) : (
        <ul className="m-0 list-none p-0">
          {turns.map((turn) => (
            <li
              key={turn.at + turn.from}
              className="flex flex-wrap items-center gap-x-3 border-b border-line py-1 last:border-b-0"
            >
              <span className="min-w-0 flex-1 font-mono text-note break-all">{turn.from}</span>
              <span className="text-note text-muted">{t('shortLinkPart.until', { ago: ago(turn.at) })}</span>
              {material.link !== null && turn.from !== material.link && (
                <Button
                  tone="quiet"
                  disabled={change.isPending}
                  onClick={() => change.mutate({ version: material.version, link: turn.from })}
                >
                  {t('shortLinkPart.useThisTargetAgain')}
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
