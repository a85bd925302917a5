import type { ReadinessSummary, StationTrouble } from '@hapset/core';
import { stationTroubles } from '@hapset/core';

/** After a count of stations: "2 locked". */
export const troubleWords: Readonly<Record<StationTrouble, string>> = {
  locked: 'locked',
  'not-opening': 'not opening',
  'to-check': 'to check',
  code: 'with a code problem',
  'not-read': 'not readable from there',
  outdated: 'printed before a change',
  'without-sheet': 'without a sheet',
};

/** "2 locked", "1 without a sheet": those of which there are any, in the order of the work. */
export function troublesListed({ troubles }: ReadinessSummary): readonly string[] {
  return stationTroubles
    .filter((trouble) => troubles[trouble] > 0)
    .map((trouble) => `${troubles[trouble]} ${troubleWords[trouble]}`);
}

/** On the button that leads to where it is fixed, after the name of what has it. */
export const fixWords: Readonly<Record<StationTrouble, string>> = {
  locked: 'Fix the sharing',
  'not-opening': 'Fix how it opens',
  'to-check': 'Check how it opens',
  code: 'Look at the code',
  'not-read': 'Make it readable',
  outdated: 'Print it again',
  'without-sheet': 'Make poster',
};
