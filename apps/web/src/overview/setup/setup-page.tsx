/** What a school needs before its teachers come, ticked by what is really there. It can be left and gone on with. */
import type { SetupSteps } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { Link } from 'react-router';
import { routes } from '@hapset/contract';
import { hasFailed } from '../../platform/api/has-failed.js';
import { buttonClass } from '../../platform/design/button.js';
import { Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { StateMark } from '../../platform/design/state-mark.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { ArrivalPart } from './arrival-part.js';
import { setupStepsQuery } from './setup.queries.js';
import { setupSteps, type SetupStep, type SetupStepName } from './steps.js';
import { t } from './words.js';

export function SetupPage(): ReactElement {
  const steps = useQuery(setupStepsQuery);
  return (
    <>
      <PageHead
        title={t('setupPage.title')}
        about={t('setupPage.about')}
        trail={<Link to="/school">{t('setupPage.school')}</Link>}
      />
      {steps.isPending && <Loading label={t('setupPage.loading')} />}
      {hasFailed(steps) && <Failed words={wordsFor(steps.error)} onRetry={() => void steps.refetch()} />}
      {steps.data && <Steps view={steps.data} />}
    </>
  );
}

function Steps({ view }: { readonly view: SetupSteps }): ReactElement {
  const steps = setupSteps(view);
  const needed = steps.filter(({ optional }) => !optional);
  const done = needed.filter((step) => step.done).length;
  return (
    <>
      <p role="status" className="mt-0 mb-3 text-body font-semibold">
        {done === needed.length ? t('setupPage.allDone') : t('setupPage.doneOf', { done, of: needed.length })}
      </p>
      <ol className="m-0 flex list-none flex-col gap-2.5 p-0">
        {steps.map((step) => (
          <Step key={step.name} step={step} view={view} />
        ))}
      </ol>
    </>
  );
}

function Step({
  step: { name, done, optional },
  view,
}: {
  readonly step: SetupStep;
  readonly view: SetupSteps;
}): ReactElement {
  return (
    <li className="flex gap-3.5 rounded-sheet border border-line bg-sheet px-4 py-3.5 sm:px-5">
      <span className="mt-1">
        <StateMark mark={done ? 'done' : 'not-yet'} words={done ? t('setupPage.done') : t('setupPage.open')} />
      </span>
      <div className="min-w-0 flex-1">
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
          <h2 className="m-0 flex-1 basis-48 text-panel leading-tight">
            {titles[name]}
            {optional && <span className="text-small font-normal text-muted"> · {t('setupPage.optional')}</span>}
          </h2>
          {ways[name]}
        </div>
        <p className="mt-1 mb-0 text-body text-muted">{saying(name, done, view)}</p>
        {name === 'address' && <ArrivalPart view={view} reached={done} />}
      </div>
    </li>
  );
}

const titles: Readonly<Record<SetupStepName, string>> = {
  address: t('setupStep.address'),
  https: t('setupStep.https'),
  'short-host': t('setupStep.shortHost'),
  printer: t('setupStep.printer'),
  devices: t('setupStep.devices'),
  services: t('setupStep.services'),
  colleagues: t('setupStep.colleagues'),
  roster: t('setupStep.roster'),
};

function saying(name: SetupStepName, done: boolean, view: SetupSteps): string {
  switch (name) {
    case 'address':
      return t('setupStep.addressWhy', { address: view.publicAddress });
    case 'https':
      return done ? t('setupStep.httpsDone') : t('setupStep.httpsWhy');
    case 'short-host':
      return view.shortLinkHost === null
        ? t('setupStep.shortHostWhy')
        : t('setupStep.shortHostDone', { host: view.shortLinkHost });
    case 'printer':
      return done ? t('setupStep.printerDone') : t('setupStep.printerWhy');
    case 'devices':
      return done ? t('setupStep.devicesDone', { count: view.devices }) : t('setupStep.devicesWhy');
    case 'services':
      return done ? t('setupStep.servicesDone', { count: view.services }) : t('setupStep.servicesWhy');
    case 'colleagues':
      return done ? t('setupStep.colleaguesDone', { count: view.colleagues }) : t('setupStep.colleaguesWhy');
    case 'roster':
      return done ? t('setupStep.rosterDone', { count: view.students }) : t('setupStep.rosterWhy');
    default:
      return name satisfies never;
  }
}

const way = (to: string, words: string): ReactNode => (
  <Link to={to} className={buttonClass()}>
    {words}
  </Link>
);

const ways: Readonly<Record<SetupStepName, ReactNode>> = {
  address: way('/school', t('setupStep.changeAddress')),
  https: way('/guide/administrator', t('setupStep.howTo')),
  'short-host': way('/school', t('setupStep.setHost')),
  printer: (
    <a href={routes.printerTest.path} target="_blank" rel="noreferrer" className={buttonClass()}>
      {t('setupStep.printTestPage')}
    </a>
  ),
  devices: way('/devices', t('setupStep.toDevices')),
  services: way('/school/services', t('setupStep.toServices')),
  colleagues: way('/school/staff', t('setupStep.toStaff')),
  roster: way('/school/students/import', t('setupStep.toRoster')),
};
