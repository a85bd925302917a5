/** What the core offers of `reads`. */
export {
  dependencies,
  ladderOf,
  rungReasons,
  type Dependency,
  type Ladder,
  type Rung,
  type RungReason,
} from './ladder/ladder.js';
export { levelChoices, repairedPercent, type LevelChoice } from './ladder/levels.js';
export type { SymbolFigures } from './ladder/figures.js';
export { documentSizesMm, inTheHandMm, readsInTheHand, tooFineInTheHand } from './optics/in-the-hand.js';
export { actNeeded, ignoring } from './scanner/acts.js';
export { weakestDevice } from './ladder/figures.js';
export {
  foretell,
  neededPixelsPerModule,
  neededSizeMm,
  predictReachM,
  sizeForDistanceMm,
  smallestPosterCodeMm,
  type Foretold,
} from './optics/predictor.js';
export { renderFrame } from './optics/camera.js';
export { farEdgePixelsPerModule, type View } from './optics/projection.js';
export {
  lightLevels,
  printTechniques,
  surfaces,
  usualScene,
  type LightLevel,
  type PrintTechnique,
  type Scene,
  type Surface,
} from './optics/scene.js';
export type { GreyFrame } from './optics/sensor.js';
export {
  rehearseDevice,
  nearestDistanceM,
  type ReadableRange,
  type RehearsalOptions,
  type RehearsedDevice,
} from './optics/rehearse.js';
export { attempt, type Attempt } from './optics/attempt.js';
export { limitingCauses, limitsAt, sizeThatReadsMm, type LimitingCause } from './optics/limits.js';
export { trialView, Trials, type ReadFrame, type Staging, type TriedDistance } from './optics/trial.js';
export { uniformSource } from './optics/random.js';
export { flatDpi, flatFrame } from './optics/flat.js';
export { readsAnswer, type DeviceReach, type ReadsAnswer, type TriedDevice } from './optics/reads-answer.js';
export { saidBy, saidKinds, type Said, type SaidKind } from './reading/said.js';
export { markedText, textMarks, type MarkedPiece, type TextMark } from './reading/marked-text.js';
export { measureSymbol, type Corners, type MeasuredSymbol, type Point } from './reading/measure-symbol.js';
