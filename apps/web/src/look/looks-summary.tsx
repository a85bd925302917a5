import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { buttonClass } from '../design/button.js';
import { Failed, Loading } from '../design/list-states.js';
import { Sheet } from '../design/sheet.js';
import { plainLookWords } from '../wording/looks.js';
import { wordsFor } from '../wording/problems.js';
import { looksQuery } from './look.queries.js';

/** On the school's page: which looks there are, which is the usual one, and the way to them. */
export function LooksSummary(): ReactElement {
  const looks = useQuery(looksQuery);
  const usual = looks.data?.looks.find(({ id }) => id === looks.data.defaultLookId)?.name ?? plainLookWords;
  return (
    <Sheet
      title="Looks"
      action={
        <Link to="/school/looks" className={buttonClass()}>
          All looks
        </Link>
      }
    >
      {looks.isPending && <Loading rows={1} label="Looks are loading" />}
      {looks.isError && <Failed words={wordsFor(looks.error)} onRetry={() => void looks.refetch()} />}
      {looks.data && (
        <p className="m-0 text-[14.5px]">
          {looks.data.looks.length === 0 ? 'None yet: all codes are black on white.' : `${looks.data.looks.map(({ name }) => name).join(', ')}. Where none is chosen: ${usual}.`}
        </p>
      )}
    </Sheet>
  );
}
