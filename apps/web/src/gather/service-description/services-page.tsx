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
import { wordsFor } from '../../platform/wording/problems.js';
import { descriptionProblemSentence } from '../../platform/wording/services.js';
import { ImportServices } from './import-services.js';
import { saveServiceFile } from './service-file.js';
import { servicesQuery, useKeepService } from './service.queries.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function ServicesPage(): ReactElement {
  const services = useQuery(servicesQuery);
  const mayChange = useSession()?.role === 'administrator';
  const [importing, setImporting] = useState(false);
  return (
    <>
      <PageHead
        title={t('servicesPage.services')}
        trail={
          <Link to="/school" className="text-ink/80">
            {t('servicesPage.school')}
          </Link>
        }
        about={t('servicesPage.howHapsetRecognisesLinksAnd')}
        actions={mayChange && <ServicesActions services={services.data ?? []} onImport={() => setImporting(true)} />}
      />
      {services.isPending && <Loading rows={3} label={t('servicesPage.servicesAreLoading')} />}
      {hasFailed(services) && <Failed words={wordsFor(services.error)} onRetry={() => void services.refetch()} />}
      {services.data && <ServiceList services={services.data} mayChange={mayChange} />}
      {!mayChange && services.data && (
        <p className="mt-3 mb-0 text-small text-muted">{t('servicesPage.onlyTheSchoolsAdministratorCan')}</p>
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
      <Button onClick={onImport}>{t('servicesPage.import')}</Button>
      <Button disabled={usable.length === 0} onClick={() => saveServiceFile(usable, 'services')}>
        {t('servicesPage.exportAll')}
      </Button>
      <Link to="/school/services/new" className={buttonClass('main')}>
        {t('servicesPage.describeAService')}
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
      <Empty title={t('servicesPage.noServicesDescribedYet')}>
        {t('servicesPage.linksAreCheckedWithoutDescriptions')}
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
      <StateMark
        mark={leftOut ? 'stop' : 'done'}
        words={leftOut ? t('servicesPage.notUsed') : t('servicesPage.inUse')}
      />
      <div className="min-w-56 flex-1">
        <Link to={`/school/services/${id}`} className="text-lead font-semibold text-ink">
          {name}
        </Link>
        <p className="m-0 text-small text-muted">{aboutService(service)}</p>
      </div>
      {!leftOut && (
        <p className="m-0 text-small text-muted">
          {t('servicesPage.addressesStepsFor', {
            count: description.addresses.length,
            walls: t('servicesPage.walls', { count: description.walls.length }),
            verdicts: t('servicesPage.verdicts', {
              count: new Set(description.fixes.flatMap(({ verdicts }) => verdicts)).size,
            }),
          })}
        </p>
      )}
      {mayChange && origin === 'school' && (
        <Button
          tone="quiet"
          onClick={() => removal.mutate()}
          disabled={removal.isPending}
          aria-label={`${replacesInstalled ? t('servicesPage.useTheInstalledVersion2') : t('servicesPage.remove')} ${name}`}
        >
          {replacesInstalled ? t('servicesPage.useTheInstalledVersion') : t('servicesPage.remove')}
        </Button>
      )}
    </li>
  );
}

function aboutService({ origin, replacesInstalled, description, problems }: ServiceView): string {
  const byTheSchool = replacesInstalled ? t('servicesPage.changedByTheSchool') : t('servicesPage.addedByTheSchool');
  const came = origin === 'installed' ? t('servicesPage.installed') : byTheSchool;
  const [problem] = problems;
  return problem
    ? t('servicesPage.notUsed2', { origin: came, problem: descriptionProblemSentence(problem) })
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
        words: t('servicesPage.wasRemoved', { name }),
        undo: () => sendChange(keep, { description, version: null }),
      });
      return client.invalidateQueries();
    },
    onError: (error) => notice({ words: wordsFor(error) }),
  });
}
