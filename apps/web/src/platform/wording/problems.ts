import type { UsedBy } from '@hapset/contract';
import type { ApiReason, ApiError } from '../api/problem-error.js';
import { namesListed } from './figures.js';
import { t } from '../language/words.js';

/** Every reason in words: what is, then what to do. */
export const problemWords: Readonly<Record<ApiReason, string>> = {
  'not-signed-in': t('problems.yourSessionHasEndedSign'),
  'wrong-credentials': t('problems.thisEMailAddressAnd'),
  'too-many-attempts': t('problems.tooManyTriesFromHere'),
  'not-allowed': t('problems.yourAccountIsNotAllowed'),
  'password-needed': t('problems.enterYourPasswordAgain'),
  'account-deactivated': t('problems.thisAccountIsNoLonger'),
  'last-administrator': t('problems.theSchoolNeedsAnAdministrator'),
  'link-over': t('problems.thisLinkWasUsedOr'),
  'wrong-origin': t('problems.theServerExpectsAnotherAddress'),
  'not-found': t('problems.thisNoLongerExistsOr'),
  gone: t('problems.itsFileIsGoneSheets'),
  invalid: t('problems.someFieldsAreNotRight'),
  stale: t('problems.thisWasChangedInAnother'),
  superseded: t('problems.aNewerRequestTookIts'),
  'in-use': t('problems.thisIsStillUsedRemove'),
  'not-undoable': t('problems.onlyTheLastImportCan'),
  'payload-too-long': t('problems.thisIsTooLongFor'),
  'sheet-needs-go-ahead': t('problems.checkTheWarningsBeforeYou'),
  'rehearsal-outdated': t('problems.codeSizeOrDevicesChanged'),
  'too-large': t('problems.thatIsTooMuchAt'),
  'storage-full': t('problems.yourStorageIsFullRemove'),
  'unusable-picture': t('problems.thisPictureCantBeRead'),
  busy: t('problems.theServerIsBusyWait'),
  unavailable: t('problems.theServerCantAnswerRight'),
  failed: t('problems.theServerHadAProblem'),
  unreachable: t('problems.theServerCantBeReached'),
};

/** "“Life between the tides” and 2 more lessons still show this. Remove it there first." */
function usedByWords({ kind, names, count }: UsedBy): string {
  if (kind === 'school') return t('problems.theSchoolUsesThisWhere');
  if (kind === 'code') return t('problems.lessonsAndMaterialsUseThis', { count });
  const more = count - names.length;
  const all = [...names.map((name) => `“${name}”`), ...(more > 0 ? [t(`problems.more-${kind}`, { count: more })] : [])];
  return t('problems.stillShowThisRemoveIt', { count, names: namesListed(all) });
}

/** The sentence for whatever was thrown. */
export function wordsFor(error: unknown): string {
  const { reason, usedBy } = (error ?? {}) as Partial<ApiError>;
  if (usedBy) return usedByWords(usedBy);
  return reason !== undefined && reason in problemWords ? problemWords[reason] : problemWords.failed;
}
