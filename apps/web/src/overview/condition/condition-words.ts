import type { ConditionCheck, ConditionName } from '@hapset/contract';
import { ago, bytes } from '../../platform/wording/figures.js';
import { t } from '../setup/words.js';

export const conditionTitles: Readonly<Record<ConditionName, string>> = {
  database: t('conditionTitle.database'),
  disk: t('conditionTitle.disk'),
  files: t('conditionTitle.files'),
  address: t('conditionTitle.address'),
  phone: t('conditionTitle.phone'),
  https: t('conditionTitle.https'),
  clock: t('conditionTitle.clock'),
  queue: t('conditionTitle.queue'),
  backup: t('conditionTitle.backup'),
  browser: t('conditionTitle.browser'),
  office: t('conditionTitle.office'),
};

type Facts = ConditionCheck['facts'];

/** What is, then what to do. */
const words: Readonly<Record<ConditionName, (good: boolean, facts: Facts) => string>> = {
  database: (good) => (good ? t('conditionWords.database') : t('conditionWords.databaseAway')),
  disk: (good, { freeBytes }) => {
    if (freeBytes === undefined) return t('conditionWords.diskUnknown');
    const free = bytes(Number(freeBytes));
    return good ? t('conditionWords.disk', { free }) : t('conditionWords.diskScarce', { free });
  },
  files: (good) => (good ? t('conditionWords.files') : t('conditionWords.filesClosed')),
  address: (good, { address = '' }) =>
    good ? t('conditionWords.address', { address }) : t('conditionWords.addressAway', { address }),
  phone: (_, { at }) =>
    at === undefined ? t('conditionWords.phoneNever') : t('conditionWords.phone', { ago: ago(String(at)) }),
  https: (good) => (good ? t('conditionWords.https') : t('setupStep.httpsWhy')),
  clock: (good, { seconds = 0 }) =>
    good ? t('conditionWords.clock') : t('conditionWords.clockApart', { count: Number(seconds) }),
  queue: (_, { waiting = 0, failed = 0, oldest }) => {
    const waits = t('conditionWords.queue', { count: Number(waiting) });
    const late = oldest === undefined ? '' : ` ${t('conditionWords.queueOldest', { ago: ago(String(oldest)) })}`;
    return Number(failed) === 0
      ? `${waits}${late}`
      : `${waits}${late} ${t('conditionWords.queueFailed', { count: Number(failed) })}`;
  },
  backup: (good, { at, problem }) => {
    if (at === undefined) return t('conditionWords.backupNever');
    if (problem !== undefined) return t('conditionWords.backupFailed', { ago: ago(String(at)), problem });
    return good
      ? t('conditionWords.backup', { ago: ago(String(at)) })
      : t('conditionWords.backupOld', { ago: ago(String(at)) });
  },
  browser: (good, { browser }) =>
    good
      ? t('conditionWords.browser')
      : browser === 'missing'
        ? t('conditionWords.browserMissing')
        : t('conditionWords.browserBroken'),
  office: (good) => (good ? t('conditionWords.office') : t('conditionWords.officeMissing')),
};

export function conditionWords({ name, state, facts }: ConditionCheck): string {
  return words[name](state === 'good', facts);
}
