/** What the core offers of `students`. */
export {
  rosterRoles,
  type ClassRow,
  type RosterLayout,
  type RosterRole,
  type RosterRows,
} from './understanding/roster-layout.js';
export { understandRoster, type RosterHints, type UnderstoodRoster } from './understanding/understand-roster.js';
export { nameKey, sortName, splitName, tidyName, wholeName, type NameParts } from './roster/name.js';
export {
  idKey,
  readRoster,
  rosterLimits,
  rosterProblemReasons,
  type ReadRoster,
  type RosterEntry,
  type RosterProblem,
  type RosterProblemReason,
  type RosterStudent,
  type SameId,
} from './roster/read-roster.js';
export { tellingNames } from './roster/telling-names.js';
export {
  compareRoster,
  rosterParts,
  type ChangedStudent,
  type Known,
  type RosterComparison,
  type RosterPart,
} from './roster/compare-roster.js';
export {
  cardCodes,
  cardPayload,
  cardTokenNumbers,
  cardTokenOf,
  readCardText,
  type CardCode,
  type CardText,
} from './roster/card-code.js';
