import type { SheetWarning } from '@hapset/contract';
import { t } from './words.js';

export const warningWords: Readonly<Record<SheetWarning, string>> = {
  'no-code': t('warnings.itsContentIsTooLong'),
  locked: t('warnings.itAsksStudentsToSign'),
  'not-opening': t('warnings.itDoesNotOpenFor'),
  'to-check': t('warnings.itMayNotOpenFor'),
  'not-opened-yet': t('warnings.itWasNeverChecked'),
  'code-to-check': t('warnings.theCodeIsVeryFine'),
  'does-not-read': t('warnings.notEveryDeviceOfThe'),
  'address-not-reachable': t('warnings.theCodeHoldsAnAddress'),
  'too-small': t('warnings.theCodeIsTooSmall'),
  'text-cut': t('warnings.titleInstructionOrAddressIs'),
  'text-left-out': t('warnings.someTextsDontFitAnd'),
  'text-small': t('warnings.aTextIsTooSmall'),
  'address-long': t('warnings.theAddressIsTooLong'),
  'missing-characters': t('warnings.ourFontsLackSomeOf'),
};
