import type { ReadinessSummary, StationTrouble } from '@hapset/core';
import { stationTroubles } from '@hapset/core';
import { t } from '../language/words.js';

/** After a count of stations: "2 locked". */
export const troubleWords: Readonly<Record<StationTrouble, string>> = {
  locked: t('troubles.locked'),
  'not-opening': t('troubles.notOpening'),
  'to-check': t('troubles.toCheck'),
  code: t('troubles.withACodeProblem'),
  'not-read': t('troubles.notReadableFromThere'),
  outdated: t('troubles.printedBeforeAChange'),
  'without-sheet': t('troubles.withoutASheet'),
};

/** "2 locked", "1 without a sheet": those of which there are any, in the order of the work. */
export function troublesListed({ troubles }: ReadinessSummary): readonly string[] {
  return stationTroubles
    .filter((trouble) => troubles[trouble] > 0)
    .map((trouble) => `${troubles[trouble]} ${troubleWords[trouble]}`);
}

/** On the button that leads to where it is fixed, after the name of what has it. */
export const fixWords: Readonly<Record<StationTrouble, string>> = {
  locked: t('troubles.fixTheSharing'),
  'not-opening': t('troubles.fixTheLink'),
  'to-check': t('troubles.checkTheLink'),
  code: t('troubles.lookAtTheCode'),
  'not-read': t('troubles.makeItReadable'),
  outdated: t('troubles.printItAgain'),
  'without-sheet': t('troubles.makePoster'),
};
