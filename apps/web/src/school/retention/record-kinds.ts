import type { RecordKind } from '@hapset/contract';
import { t } from '../staff/words.js';

export const recordTitles: Readonly<Record<RecordKind, string>> = {
  checks: t('retention.checks'),
  prints: t('retention.prints'),
  readings: t('retention.readings'),
  imports: t('retention.imports'),
  tryouts: t('retention.tryouts'),
  linkCounts: t('retention.linkCounts'),
  sessions: t('retention.sessions'),
  jobs: t('retention.jobs'),
  activity: t('retention.activity'),
};
export const recordAbout: Readonly<Record<RecordKind, string>> = {
  checks: t('retention.checksAbout'),
  prints: t('retention.printsAbout'),
  readings: t('retention.readingsAbout'),
  imports: t('retention.importsAbout'),
  tryouts: t('retention.tryoutsAbout'),
  linkCounts: t('retention.linkCountsAbout'),
  sessions: t('retention.sessionsAbout'),
  jobs: t('retention.jobsAbout'),
  activity: t('retention.activityAbout'),
};
