import type { SheetWarning } from '@hapset/contract';
import { t } from '../language/words.js';

export const warningWords: Readonly<Record<SheetWarning, string>> = {
  'no-code': t('warnings.noCodeHoldsWhatIt'),
  locked: t('warnings.itAsksStudentsToSign'),
  'not-opening': t('warnings.itDoesNotOpenFor'),
  'to-check': t('warnings.itIsNotCertainThat'),
  'not-opened-yet': t('warnings.itWasNeverOpenedAs'),
  'code-to-check': t('warnings.theCodeIsVeryFine'),
  'does-not-read': t('warnings.notEveryDeviceOfThe'),
  'address-not-reachable': t('warnings.theCodeCarriesTheAddress'),
  'too-small': t('warnings.theCodeIsTooSmall'),
  'text-cut': t('warnings.titleInstructionOrAddressAre'),
  'text-left-out': t('warnings.thereIsNoRoomFor'),
  'missing-characters': t('warnings.noFontOfTheSheets'),
};
