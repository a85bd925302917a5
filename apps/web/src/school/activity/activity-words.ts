import type { Activity } from '@hapset/contract';
import { t } from '../staff/words.js';

export const activityWords: Readonly<Record<Activity, string>> = {
  'school-set-up': t('activity.schoolSetUp'),
  'settings-changed': t('activity.settingsChanged'),
  'teacher-classes-changed': t('activity.teacherClassesChanged'),
  'retention-changed': t('activity.retentionChanged'),
  invited: t('activity.invited'),
  'invitation-revoked': t('activity.invitationRevoked'),
  'account-created': t('activity.accountCreated'),
  'role-changed': t('activity.roleChanged'),
  'account-deactivated': t('activity.accountDeactivated'),
  'account-activated': t('activity.accountActivated'),
  'reset-link-made': t('activity.resetLinkMade'),
  'password-reset': t('activity.passwordReset'),
  'email-changed': t('activity.emailChanged'),
  'password-changed': t('activity.passwordChanged'),
  'handed-over': t('activity.handedOver'),
  'roster-imported': t('activity.rosterImported'),
  'roster-undone': t('activity.rosterUndone'),
  'year-ended': t('activity.yearEnded'),
  'students-exported': t('activity.studentsExported'),
  'student-copied': t('activity.studentCopied'),
  'students-erased': t('activity.studentsErased'),
  'service-changed': t('activity.serviceChanged'),
  'activity-exported': t('activity.activityExported'),
};
