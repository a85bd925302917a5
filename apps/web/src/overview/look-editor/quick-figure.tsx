import type { ReactElement } from 'react';
import type { QuickRehearsal } from '../../reads/rehearsal/use-quick-rehearsal.js';
import { metres } from '../../platform/wording/figures.js';
import { Figure } from '../../code/look/look-figures.js';
import { t } from '../words.js';

/** Whether the weakest device reads it from where students stand. */
export function QuickFigure({
  quick: { device, result, failed },
  distanceM,
  sizeMm,
}: {
  readonly quick: QuickRehearsal;
  readonly distanceM: number;
  readonly sizeMm: number;
}): ReactElement {
  const where = t('quickFigure.mmWideStudentsAt', { sizeMm, metres: metres(distanceM) });
  if (!device)
    return (
      <Figure mark="not-yet" title={t('quickFigure.reads')} figure={t('quickFigure.noDevicesListed')}>
        {t('quickFigure.addDevicesAndEachChange')}
      </Figure>
    );
  if (failed)
    return (
      <Figure mark="not-yet" title={t('quickFigure.reads')} figure={t('quickFigure.theRehearsalFailed')}>
        {t('quickFigure.changeSomethingToStartAgain')}
      </Figure>
    );
  if (!result)
    return (
      <Figure mark="not-yet" title={t('quickFigure.reads')} figure={t('quickFigure.rehearsing')}>
        {t('quickFigure.text', { device: device.name, where })}
      </Figure>
    );
  if (result.reachM === 0)
    return (
      <Figure mark="stop" title={t('quickFigure.notRead')} figure={t('quickFigure.by', { device: device.name })}>
        {t('quickFigure.atNoDistance', { where })}
      </Figure>
    );
  const reaches = result.reachM >= distanceM && result.fromM <= distanceM;
  return (
    <Figure
      mark={reaches ? 'done' : 'look-at'}
      title={t('quickFigure.readsFrom', { metres: metres(result.reachM) })}
      figure={t('quickFigure.with', { name: device.name })}
    >
      {t('quickFigure.theWeakestDevice', { where })}
    </Figure>
  );
}
