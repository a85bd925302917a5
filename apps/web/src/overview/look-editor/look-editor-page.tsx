/** A look is designed on its own, or on the code for which it is meant. */
import type { MaterialPage } from '@hapset/contract';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useMemo, type ReactElement } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { looksQuery } from '../../code/look/look.queries.js';
import { sampleOf, usualSample } from '../../code/look/sample.js';
import { materialPageQuery } from '../../gather/material/material.queries.js';
import { pagePath } from '../../gather/material/page-path.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { useDevicesOf } from '../../school/school-class/use-devices-of.js';
import { LookEditor } from './look-editor.js';
import { t } from '../words.js';

export function LookEditorPage(): ReactElement {
  const { lookId = 'new' } = useParams();
  const [search] = useSearchParams();
  const { page, onCode } = useCodeOf(search);
  const looks = useQuery(looksQuery);
  const devices = useDevicesOf(null);
  const sample = useMemo(() => (page.data ? sampleOf(page.data) : usualSample(devices)), [page.data, devices]);
  if (looks.isPending || (onCode && page.isPending)) return <Loading label={t('lookEditorPage.theLookIsLoading')} />;
  if (hasFailed(looks)) return <Failed words={wordsFor(looks.error)} onRetry={() => void looks.refetch()} />;
  if (hasFailed(page)) return <Failed words={wordsFor(page.error)} onRetry={() => void page.refetch()} />;
  const before = looks.data.looks.find(({ id }) => id === lookId) ?? null;
  if (!sample) return <Failed words={t('lookEditorPage.thereIsNoCodeTo')} onRetry={() => void page.refetch()} />;
  const from = page.data ? { page: page.data, address: pagePath(page.data) } : null;
  return (
    <LookEditor
      key={lookId}
      before={before}
      sample={sample}
      names={looks.data.looks.map(({ name }) => name)}
      from={from}
    />
  );
}

/** The code that it is designed on, where the address names one. */
function useCodeOf(search: URLSearchParams): { readonly page: UseQueryResult<MaterialPage>; readonly onCode: boolean } {
  const [stationId, materialId] = [search.get('station'), search.get('material')];
  const onCode = stationId !== null || materialId !== null;
  const place = stationId !== null ? { stationId } : { materialId: materialId ?? '' };
  return { page: useQuery({ ...materialPageQuery(place), enabled: onCode }), onCode };
}
