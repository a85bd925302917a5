/** What the core offers of `overview`. */
export { summarise, type ReadinessSummary } from './readiness/summary.js';
export { findTrouble, isReady, stationTroubles, type FourAnswers, type StationTrouble } from './readiness/trouble.js';
export { nextStep, partOfTrouble, type NextStep, type PagePart } from './readiness/next-step.js';
