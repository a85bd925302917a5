import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { buttonClass } from '../../platform/design/button.js';
import { Panel } from '../../platform/design/panel.js';
import { setupStepsQuery } from './setup.queries.js';
import { setupSteps } from './steps.js';
import { t } from './words.js';

/** On the school's page while something of the setup is open: how far it is, and the way on. */
export function SetupSummary(): ReactElement | null {
  const view = useQuery(setupStepsQuery).data;
  if (!view) return null;
  const needed = setupSteps(view).filter(({ optional }) => !optional);
  const done = needed.filter((step) => step.done).length;
  if (done === needed.length) return null;
  return (
    <Panel
      title={t('setupPage.title')}
      action={
        <Link to="/school/setup" className={buttonClass('main')}>
          {t('setupPage.goOn')}
        </Link>
      }
    >
      <p className="m-0 text-body">{t('setupPage.doneOf', { done, of: needed.length })}</p>
    </Panel>
  );
}
