/** One service: its description as a form for the administrator, and a link to try it on. */
import { useQuery } from '@tanstack/react-query';
import type { ServiceView } from '@hapset/contract';
import type { ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useNavigate, useParams } from 'react-router';
import { useSession } from '../../school/account/session.queries.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { Alert } from '../../platform/design/alert.js';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { useNotice } from '../../platform/design/notice.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { descriptionProblemSentence, fieldProblemSentence } from '../../platform/wording/services.js';
import { saveServiceFile } from './service-file.js';
import { fieldOf, toDescription, toServiceFields, type ServiceFields } from './service-fields.js';
import { ServiceForm } from './service-form.js';
import { useUnsaved } from '../../platform/design/unsaved.js';
import { DraftOffer } from '../../platform/draft/draft-offer.js';
import { useFormDraft } from '../../platform/draft/use-draft.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';
import { servicesQuery, useKeepService } from './service.queries.js';
import { Tryout } from './tryout.js';
import { useSendChange } from '../../platform/undo/use-send-change.js';
import { t } from '../words.js';

export function ServicePage(): ReactElement {
  const { serviceId } = useParams();
  const services = useQuery({ ...servicesQuery, refetchOnWindowFocus: false });
  if (services.isPending) return <Loading rows={3} label={t('servicePage.theServiceIsLoading')} />;
  if (hasFailed(services)) return <Failed words={wordsFor(services.error)} onRetry={() => void services.refetch()} />;
  const service = services.data.find(({ id }) => id === serviceId) ?? null;
  if (serviceId !== undefined && !service)
    return <Failed words={wordsFor(new ApiError('not-found'))} onRetry={() => void services.refetch()} />;
  return <ServiceContent key={`${serviceId ?? ''} ${service?.version ?? ''}`} service={service} />;
}

function ServiceContent({ service }: { readonly service: ServiceView | null }): ReactElement {
  const mayChange = useSession()?.role === 'administrator';
  const notice = useNotice();
  const sendChange = useSendChange();
  const navigate = useNavigate();
  const keep = useKeepService();
  const form = useForm<ServiceFields>({ defaultValues: toServiceFields(readable(service)) });
  const draft = useFormDraft(useOwnPlace(`service ${service?.id ?? 'new'}`), form);
  useUnsaved(form.formState.isDirty && !keep.isPending, draft.remove);
  const showProblems = (error: unknown): void => {
    for (const problem of error instanceof ApiError ? error.fields : []) {
      // The form's own names are typed by its shape; the server's are paths into the same shape.
      form.setError(
        fieldOf(problem.field) as 'name',
        { message: fieldProblemSentence(problem) },
        { shouldFocus: true },
      );
    }
  };
  const send = (fields: ServiceFields): void =>
    sendChange(
      keep,
      { description: toDescription(fields), version: service?.version ?? null },
      {
        onSuccess: ({ name }) => {
          draft.remove();
          notice({ words: t('servicePage.savedLinksAreNowRecognised', { name }) });
          void navigate('/school/services');
        },
        onError: showProblems,
      },
    );
  return (
    <>
      <ServiceHead service={service} saving={keep.isPending} mayChange={mayChange} />
      {service && service.problems.length > 0 && <LeftOut service={service} />}
      {keep.isError && <Alert words={wordsFor(keep.error)} className="mt-0 mb-3" />}
      <div className="mb-3 empty:hidden">
        <DraftOffer draft={draft} onUse={draft.use} />
      </div>
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_320px]">
        <form id="service-form" noValidate onSubmit={(event) => void form.handleSubmit(send)(event)}>
          <fieldset disabled={!mayChange} className="m-0 min-w-0 border-0 p-0">
            <ServiceForm form={form} isNew={service === null} />
          </fieldset>
        </form>
        {mayChange && <Tryout description={() => toDescription(form.getValues())} onProblems={showProblems} />}
      </div>
    </>
  );
}

function ServiceHead({
  service,
  saving,
  mayChange,
}: {
  readonly service: ServiceView | null;
  readonly saving: boolean;
  readonly mayChange: boolean;
}): ReactElement {
  return (
    <PageHead
      title={service?.name ?? t('servicePage.describeAService')}
      trail={
        <>
          <Link to="/school" className="text-ink/80">
            {t('servicePage.school')}
          </Link>{' '}
          ›{' '}
          <Link to="/school/services" className="text-ink/80">
            {t('servicePage.services')}
          </Link>
        </>
      }
      actions={
        <>
          {service && service.problems.length === 0 && (
            <Button onClick={() => saveServiceFile([service.description], service.id)}>
              {t('servicePage.export')}
            </Button>
          )}
          {mayChange && (
            <Button tone="main" type="submit" form="service-form" disabled={saving}>
              {t('servicePage.saveService')}
            </Button>
          )}
        </>
      }
    />
  );
}

function LeftOut({ service }: { readonly service: ServiceView }): ReactElement {
  return (
    <div role="status" className="mb-3 rounded-sheet border border-stop bg-sheet px-5 py-3 text-body">
      <p className="m-0 font-semibold">{t('servicePage.thisDescriptionIsNotUsed')}</p>
      <ul className="m-0 mt-1 pl-5">
        {service.problems.map((problem, index) => (
          <li key={index}>
            {problem.path !== '' && <span className="font-mono">{problem.path}: </span>}
            {descriptionProblemSentence(problem)}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** One whose shape can't be trusted is started again, under its id. */
function readable(service: ServiceView | null): ServiceView['description'] | null {
  if (!service) return null;
  const shapely = service.problems.every(
    ({ reason }) => !['not-readable', 'wrong-kind', 'missing', 'unknown-field'].includes(reason),
  );
  return shapely
    ? service.description
    : { id: service.id, name: service.name, hosts: [], addresses: [], walls: [], fixes: [] };
}
