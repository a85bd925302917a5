import type { ContentProblemReason } from '@hapset/core';
import { t } from './words.js';

export const contentProblemWords: Readonly<Record<ContentProblemReason, string>> = {
  needed: t('contentProblems.thisIsNeeded'),
  'no-email': t('contentProblems.writeAWholeEMail'),
  'no-number': t('contentProblems.writeAPhoneNumberDigits'),
  'no-web-address': t('contentProblems.writeAWholeAddressThat'),
  'no-day': t('contentProblems.chooseADayThatExists'),
  'ends-before-it-starts': t('contentProblems.theEndIsBeforeThe'),
  'end-without-start': t('contentProblems.addAStartOrRemove'),
  'out-of-range': t('contentProblems.use90To90Degrees'),
  'password-length': t('contentProblems.aWPAPasswordHas8'),
};
