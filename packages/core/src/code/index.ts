/** What the core offers of `code`. */
export {
  addressCarries,
  bareAddress,
  carriedBy,
  carries,
  contentPayload,
  type AddressCarry,
  type Carriable,
  type Carry,
  type Carried,
} from './payload/carry.js';
export { contentText } from './payload/content-text.js';
export { titleFromContent } from './payload/content-title.js';
export {
  differenceKind,
  differenceKinds,
  firstDifference,
  guessedEncoding,
  type Difference,
  type DifferenceKind,
} from './payload/compare.js';
export { modulesOf } from './symbol/versions.js';
export {
  charactersToShrink,
  chooseSize,
  planSymbol,
  errorCorrectionLevels,
  quietZoneModules,
  growthLimit,
  type ErrorCorrectionLevel,
  type PlanProblem,
  type SymbolPlan,
} from './symbol/plan.js';
export { segmentModes, type Segment, type SegmentMode, type Segmentation } from './symbol/segments.js';
export { growthSteps, type GrowthStep, type GrowthSteps } from './symbol/steps.js';
export { grainOf, grains, type Grain } from './symbol/grain.js';
export {
  captionPlaces,
  finderShapes,
  firstInkTo,
  frameForms,
  gradientWays,
  lookColours,
  lookLimits,
  moduleShapes,
  plainLook,
  readLook,
  withColours,
  withoutSurround,
  type CaptionPlace,
  type FinderShape,
  type FrameForm,
  type GradientWay,
  type LookCaption,
  type LookCentre,
  type LookDesign,
  type ModuleShape,
} from './look/look.js';
export { drawCode, type DrawingOptions, drawingSize, plainDrawing, type CodeDrawing } from './look/drawing.js';
export type { DrawnShape, Paint } from './look/drawn-shape.js';
export type { Surround } from './look/frame.js';
export { iconStrokes, type IconNode } from './look/icon-strokes.js';
export { drawingElements, drawingSvg } from './look/code-svg.js';
export { reachShareOf } from './look/reach-share.js';
export { codeBits, codePixels, isTwoColours } from './look/pixels.js';
export {
  freeLevel,
  judgeLook,
  lookReasons,
  passingColours,
  standing,
  type LookJudgement,
  type LookReason,
} from './look/judge-look.js';
export { contrastOf, hasEnoughContrast, leastContrast, prints, type Contrast, type Print } from './look/contrast.js';
export { centreLeaves, largestCentre, spareRepair, type SpareRepair } from './symbol/spare-repair.js';
export {
  baselineMm,
  charactersOf,
  fitText,
  lineHeightMm,
  sheetFonts,
  type MeasureText,
  type SheetFont,
} from './typeface/text.js';
export {
  groupedSlug,
  isShortForm,
  isSlug,
  newSlugLength,
  newSlugLengths,
  normalSlug,
  slipsOf,
  slugAlphabet,
  slugLengths,
  slugOf,
} from './short-link/slug.js';
export { shortAddress, shortAddressInLetters, shortBase, slugAskedFor } from './short-link/short-address.js';
export {
  alwaysOpen,
  isAlwaysOpen,
  openingProblem,
  openingProblems,
  openStateAt,
  type OpenHours,
  type Opening,
  type OpeningProblem,
  type OpenState,
} from './short-link/opening-hours.js';
export { visitorKind, visitorKinds, type VisitorKind } from './short-link/visitor.js';
export { plainSurround } from './look/frame.js';
export { planForLook } from './look/plan-for-look.js';
