/** One material, one page, top to bottom in the order of the work; the same inside and outside a lesson. */
import { useQuery } from '@tanstack/react-query';
import type { MaterialPage as PageView } from '@hapset/contract';
import { lazy, Suspense, useEffect, useState, type ReactElement } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { useOpenAgainOnReturn } from '../../opens/access-check/use-open-again-on-return.js';
import { OpensPart } from '../../opens/access-check/opens-part.js';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { KeptPart } from '../../gather/kept/kept-part.js';
import { ShortLinkPart } from '../../code/short-link/short-link-part.js';
import { LookPart } from '../../code/look/look-part.js';
import { ReadsPart } from '../../reads/rehearsal/reads-part.js';
import { useRehearsals } from '../../reads/rehearsal/use-rehearsals.js';
import { SavePicture } from '../../paper/picture/save-picture.js';
import { PaperPart } from '../../paper/sheet/paper-part.js';
import { PageHead } from '../../platform/design/page-head.js';
import { CarriesPart } from '../../code/symbol/carries-part.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { MaterialStrip } from './material-strip.js';
import { CodeAside } from './code-aside.js';
import { materialPageQuery, useOpenMaterial } from '../../gather/material/material.queries.js';
import type { PlaceId } from '../../gather/material/place-id.js';
import { t } from '../words.js';

// What reads a changed link comes with its dialog.
const ChangeMaterialDialog = lazy(() =>
  import('./change-material.js').then(({ ChangeMaterialDialog: component }) => ({ default: component })),
);

export function MaterialPage(): ReactElement {
  const { stationId, materialId = '' } = useParams();
  const place: PlaceId = stationId !== undefined ? { stationId } : { materialId };
  const page = useQuery(materialPageQuery(place));
  if (page.isPending) return <Loading label={t('materialPage.theMaterialIsLoading')} />;
  if (hasFailed(page)) return <Failed words={wordsFor(page.error)} onRetry={() => void page.refetch()} />;
  return <Page key={JSON.stringify(place)} place={place} page={page.data} />;
}

function Page({ place, page }: { readonly place: PlaceId; readonly page: PageView }): ReactElement {
  const { material, station, code, readiness, rehearsal } = page;
  const [changing, setChanging] = useState(false);
  const open = useOpenMaterial();
  const rehearsals = useRehearsals([{ place, code, rehearsal }]);
  const mayBeFixed =
    !readiness.opens.inTheCode && !readiness.opens.opening && !['done', 'not-yet'].includes(readiness.opens.state);
  useOpenAgainOnReturn(mayBeFixed ? [material.id] : [], (id) => open.mutate(id));
  useScrollToPart();
  const name = station?.name ?? material.title;
  return (
    <>
      <PageHead
        title={name}
        trail={<Trail page={page} />}
        actions={
          <>
            <Button onClick={() => setChanging(true)}>{t('materialPage.change')}</Button>
            <SavePicture page={page} place={place} name={name} />
          </>
        }
      />
      <MaterialStrip page={page} place={place} name={name} rehearsing={rehearsals.running} />
      <div className="grid grid-cols-1 gap-4 md:grid-cols-[250px_minmax(0,1fr)] lg:grid-cols-[278px_minmax(0,1fr)] lg:gap-5">
        <CodeAside page={page} name={name} />
        <div className="flex min-w-0 flex-col gap-3">
          <KeptPart page={page} />
          <OpensPart
            page={page}
            toScan={<CodeToScan page={page} name={name} />}
            onOpen={() => open.mutate(material.id)}
          />
          <CarriesPart page={page} />
          {page.shortLink && <ShortLinkPart page={page} link={page.shortLink} />}
          <LookPart page={page} />
          <ReadsPart page={page} rehearsals={rehearsals} />
          <PaperPart page={page} place={place} name={name} />
        </div>
      </div>
      <Suspense>{changing && <ChangeMaterialDialog page={page} onClose={() => setChanging(false)} />}</Suspense>
    </>
  );
}

function CodeToScan({ page: { code }, name }: { readonly page: PageView; readonly name: string }): ReactElement | null {
  return (
    code && (
      <CodePicture
        drawing={code.drawing}
        label={t('materialPage.codeOfToScan', { name })}
        className="size-28 shrink-0 rounded-fine bg-print p-1.5"
      />
    )
  );
}

/** Where it is: on the shelf or as a station, and in which other lessons. */
function Trail({ page: { station, lessons } }: { readonly page: PageView }): ReactElement {
  const others = lessons.filter(({ id }) => id !== station?.lessonId);
  return (
    <>
      <Link to={station ? `/lessons/${station.lessonId}` : '/shelf'} className="text-ink/80">
        {station?.lessonName ?? t('materialPage.shelf')}
      </Link>
      {station && t('materialPage.station', { position: station.position })}
      {others.length > 0 && (
        <>
          {station ? t('materialPage.alsoIn') : t('materialPage.in')}{' '}
          {others.map((lesson, index) => (
            <span key={lesson.id}>
              {index > 0 && ', '}
              <Link to={`/lessons/${lesson.id}`} className="text-ink/80">
                {lesson.name}
              </Link>
            </span>
          ))}
        </>
      )}
    </>
  );
}

/** The bench's cells lead to the part that they are about. */
function useScrollToPart(): void {
  const { hash } = useLocation();
  useEffect(() => {
    if (hash.length > 1) document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'start' });
  }, [hash]);
}
