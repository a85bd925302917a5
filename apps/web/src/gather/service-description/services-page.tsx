/** What the school knows about the services that links lead to; the administrator adds, imports and exports. */
import { routes, type ServiceView } from '@hapset/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { call } from '../../platform/api/client.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { PageHead } from '../../platform/design/page-head.js';
import { plural } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { descriptionProblemSentence } from '../../platform/wording/services.js';
import { ImportServices } from './import-services.js';
import { saveServiceFile } from './service-file.js';
import { servicesQuery, useKeepService } from './service.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';

export function ServicesPage(): ReactElement {
  const services = useQuery(servicesQuery);
  const mayChange = useSession()?.role === 'administrator';
  const [importing, setImporting] = useState(false);
  return (
    <>
      <PageHead
        title="Services"
        trail={
          <Link to="/school" className="text-ink/80">
            School
          </Link>
        }
        about="How Hapset tells an editor’s link from the student’s, a wall from a page, and which steps fix the sharing."
        actions={mayChange && <ServicesActions services={services.data ?? []} onImport={() => setImporting(true)} />}
      />
      {services.isPending && <Loading rows={3} label="Services are loading" />}
      {hasFailed(services) && <Failed words={wordsFor(services.error)} onRetry={() => void services.refetch()} />}
      {services.data && <ServiceList services={services.data} mayChange={mayChange} />}
      {!mayChange && services.data && (
        <p className="mt-3 mb-0 text-small text-muted">The school’s administrator changes these.</p>
      )}
      {importing && <ImportServices known={services.data ?? []} onClose={() => setImporting(false)} />}
    </>
  );
}

function ServicesActions({
  services,
  onImport,
}: {
  readonly services: readonly ServiceView[];
  readonly onImport: () => void;
}): ReactElement {
  const usable = services.filter(({ problems }) => problems.length === 0).map(({ description }) => description);
  return (
    <>
      <Button onClick={onImport}>Import</Button>
      <Button disabled={usable.length === 0} onClick={() => saveServiceFile(usable, 'services')}>
        Export all
      </Button>
      <Link to="/school/services/new" className={buttonClass('main')}>
        Describe a service
      </Link>
    </>
  );
}

function ServiceList({
  services,
  mayChange,
}: {
  readonly services: readonly ServiceView[];
  readonly mayChange: boolean;
}): ReactElement {
  if (services.length === 0)
    return (
      <Empty title="No services described yet">
        Links are opened and judged without descriptions too. A description adds what only people who know a service can
        tell: which address is the editor’s, and where the sharing is changed.
      </Empty>
    );
  return (
    <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
      {services.map((service) => (
        <ServiceRow key={service.id} service={service} mayChange={mayChange} />
      ))}
    </ul>
  );
}

function ServiceRow({
  service,
  mayChange,
}: {
  readonly service: ServiceView;
  readonly mayChange: boolean;
}): ReactElement {
  const { id, name, origin, replacesInstalled, description, problems } = service;
  const removal = useServiceRemoval(service);
  const leftOut = problems.length > 0;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-4 py-3 last:border-b-0 sm:px-5">
      <StateMark mark={leftOut ? 'stop' : 'done'} words={leftOut ? 'Left out' : 'In use'} />
      <div className="min-w-56 flex-1">
        <Link to={`/school/services/${id}`} className="text-lead font-semibold text-ink">
          {name}
        </Link>
        <p className="m-0 text-small text-muted">{aboutService(service)}</p>
      </div>
      {!leftOut && (
        <p className="m-0 text-small text-muted">
          {plural(description.addresses.length, 'address', 'addresses')}, {plural(description.walls.length, 'wall')},
          steps for {plural(new Set(description.mending.flatMap(({ verdicts }) => verdicts)).size, 'verdict')}
        </p>
      )}
      {mayChange && origin === 'school' && (
        <Button
          tone="quiet"
          onClick={() => removal.mutate()}
          disabled={removal.isPending}
          aria-label={`${replacesInstalled ? 'Take back' : 'Remove'} ${name}`}
        >
          {replacesInstalled ? 'Back to the installed one' : 'Remove'}
        </Button>
      )}
    </li>
  );
}

function aboutService({ origin, replacesInstalled, description, problems }: ServiceView): string {
  const byTheSchool = replacesInstalled ? 'changed by the school' : 'described by the school';
  const came = origin === 'installed' ? 'came with the installation' : byTheSchool;
  const [problem] = problems;
  return problem
    ? `Left out, ${came}. ${descriptionProblemSentence(problem)}`
    : `${[...description.hosts, ...(description.shorteners ?? [])].join(', ')} · ${came}`;
}

/** Removes the school's description at once; the notice restores it. */
function useServiceRemoval({
  id,
  name,
  description,
}: ServiceView): ReturnType<typeof useMutation<unknown, Error, void>> {
  const client = useQueryClient();
  const notice = useNotice();
  const sendChange = useSendChange();
  const keep = useKeepService();
  return useMutation<unknown, Error, void>({
    mutationFn: () => call(routes.removeService, { params: { serviceId: id } }),
    onSuccess: () => {
      notice({
        words: `${name} is removed.`,
        undo: () => sendChange(keep, { description, version: null }),
      });
      return client.invalidateQueries();
    },
    onError: (error) => notice({ words: wordsFor(error) }),
  });
}
