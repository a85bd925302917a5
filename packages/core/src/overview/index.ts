/** What the core offers of `overview`. */
export { summarise, type FourStates, type ReadinessSummary } from './readiness/summary.js';
