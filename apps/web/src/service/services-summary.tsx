import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { buttonClass } from '../design/button.js';
import { Failed, Loading } from '../design/list-states.js';
import { Sheet } from '../design/sheet.js';
import { wordsFor } from '../wording/problems.js';
import { servicesQuery } from './service.queries.js';

/** On the school's page: which services are described, and the way to them. */
export function ServicesSummary(): ReactElement {
  const services = useQuery(servicesQuery);
  const leftOut = services.data?.filter(({ problems }) => problems.length > 0) ?? [];
  return (
    <Sheet
      title="Services"
      action={
        <Link to="/school/services" className={buttonClass()}>
          All services
        </Link>
      }
    >
      {services.isPending && <Loading rows={1} label="Services are loading" />}
      {services.isError && <Failed words={wordsFor(services.error)} onRetry={() => void services.refetch()} />}
      {services.data && (
        <p className="m-0 text-[14.5px]">
          {services.data.length === 0 ? 'None described yet. Links are opened and judged all the same.' : services.data.map(({ name }) => name).join(', ')}
          {leftOut.length > 0 && <strong className="block text-stop">Left out, since it can’t be used: {leftOut.map(({ name }) => name).join(', ')}</strong>}
        </p>
      )}
    </Sheet>
  );
}
