/** What the core offers of `opens`. */
export { remedyFor, otherLinkFor, type Remedy } from './access/remedy.js';
export { samePage, trimLink, type TrimmedLink } from './access/tracking.js';
export {
  viewStops,
  type DrawnFacts,
  type Evidence,
  type Ending,
  type FinalPage,
  type FormFacts,
  type Hop,
  type InsideItem,
  type PageFacts,
  type ViewStop,
} from './access/evidence.js';
export { differsFromSeen } from './access/teacher-saw.js';
export { differsUndrawn, isCovered, mayBeRejudged, wantsDrawing, withDrawn, type DrawnView } from './access/drawn.js';
export { fingerprintOf, isOtherPage, simHash, type PageFingerprint } from './access/page-fingerprint.js';
export {
  isUnproven,
  standsBefore,
  verdictReasons,
  type Finding,
  type Judgement,
  type VerdictReason,
} from './access/judgement.js';
export { doubtReasons, doubtsOf, strangersBetween, type Doubt, type DoubtReason } from './access/doubts.js';
export { insideLimits, isFolder, linksInside, type Holder, type PageLink } from './access/inside.js';
export { dueOpenings, openingTimeNames, type DueOpening, type OpeningTime } from './access/opening-times.js';
export { addressAtService, hostsOnTheWay } from './access/on-the-way.js';
export { leadsOn } from './access/rules/unknown.js';
export { rightsOf, type Rights } from './access/rights.js';
export { findUnplayed, type Unplayed } from './access/unplayed.js';
export { judgeKept } from './access/judge-kept.js';
export { judgeAccess } from './access/verdict.js';
export {
  answerCounts,
  isLocked,
  isStale,
  mayBeAnswered,
  opensAnswer,
  opensState,
  type KnownOpening,
  type OpensFacts,
  type PersonAnswer,
} from './access/opens-answer.js';
export { findObstacle, isOnThisComputerOnly, obstacles, type Obstacle } from './access/obstacle.js';
