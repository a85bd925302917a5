/** What the core offers of `students`. */
export {
  rosterRoles,
  type ClassRow,
  type RosterLayout,
  type RosterRole,
  type RosterRows,
} from './roster/roster-layout.js';
export {
  likeliestRoster,
  understandRoster,
  type RosterHints,
  type UnderstoodRoster,
} from './understanding/understand-roster.js';
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
export { matchPhotos, type PhotoStudent } from './roster/match-photos.js';
export { nextYearName, proposeYearEnd, type YearEndMove } from './roster/next-year.js';
export { tellingNames } from './roster/telling-names.js';
export { compareRoster, type ChangedStudent, type Known, type RosterComparison } from './roster/compare-roster.js';
export { asInRoster, editedByHand, rosterParts, type EditedParts, type RosterPart } from './roster/edited-parts.js';
export {
  cardCodes,
  cardPayload,
  cardTokenNumbers,
  cardTokenOf,
  readCardText,
  type CardCode,
  type CardText,
} from './roster/card-code.js';
