/** The one entry of the core: what the server, the web application and the readers may use. */
export { succeed, fail, unreachable, type Result } from './result.js';
export { pointsPerMm, radians } from './units.js';

export { repairLink, repairKinds, type Repair, type RepairKind, type RepairedLink } from './intake/repair.js';
export {
  readIntake,
  readPiece,
  splitPieces,
  isWebAddress,
  looksLikeLink,
  type IntakeItem,
  type IntakeLink,
  type IntakeWords,
  type IntakeUnusable,
  type TakenBack,
} from './intake/read-intake.js';
export {
  bodyOf,
  columnRoles,
  guessColumns,
  looksLikeList,
  readColumns,
  readRow,
  readTags,
  type ColumnRole,
  type Columns,
} from './intake/columns.js';
export { markDuplicates, prepareForDuplicates, comparableAddress, type DuplicateMark } from './intake/duplicates.js';
export { recogniseKind, titleFromAddress, titleFromWords } from './intake/kind.js';
export { linkKinds, materialKinds, type LinkKind, type MaterialKind } from './intake/material-kinds.js';

export {
  compileServices,
  emptyCatalogue,
  needPatterns,
  type LeftOutService,
  type ServiceCatalogue,
} from './service/catalogue.js';
export {
  addressRoles,
  describedRights,
  wallVerdicts,
  type AddressDescription,
  type AddressRole,
  type MendingDescription,
  type RightDescription,
  type ServiceDescription,
  type WallDescription,
  type WallVerdict,
} from './service/description.js';
export {
  descriptionProblems,
  descriptionProblemReasons,
  type DescriptionProblem,
  type DescriptionProblemReason,
} from './service/description-problems.js';
export { describeAddress, isOwnShortener, type DescribedAddress } from './service/match.js';
export { mendingFor, type Mending } from './service/mending.js';
export type { CompilePattern, Pattern } from './service/pattern.js';
export { samePage, trimLink, type TrimmedLink } from './service/tracking.js';

export type { Evidence, Ending, FinalPage, FormFacts, Hop, InsideItem, PageFacts } from './access/evidence.js';
export { accessVerdicts, letsIn, locksOut, type AccessVerdict } from './access/access-verdict.js';
export { standsBefore, verdictReasons, type Finding, type Judgement, type VerdictReason } from './access/judgement.js';
export { doubtReasons, doubtsOf, strangersBetween, type Doubt, type DoubtReason } from './access/doubts.js';
export { insideLimits, isFolder, linksInside, type Holder, type PageLink } from './access/inside.js';
export { dueOpenings, openingTimeNames, type DueOpening, type OpeningTime } from './access/opening-times.js';
export { addressAtService, hostsOnTheWay } from './access/on-the-way.js';
export { leadsOn } from './access/rules/unknown.js';
export { rightsOf, type Rights } from './access/rights.js';
export { judgeAccess } from './access/verdict.js';

export { hostNameOf, isLoopbackHost } from './web-host.js';
export {
  filesOf,
  isOwnPublicPage,
  keptKinds,
  keptLimits,
  pageAddress,
  readKept,
  type Kept,
  type KeptFileContent,
  type KeptKind,
  type KeptPicture,
  type PictureSetContent,
  type WrittenPageContent,
} from './kept/kept.js';
export {
  documentLimits,
  emptyDocument,
  palette,
  type PageAlignment,
  type PageColour,
  type PageDocument,
  type PageFont,
  type PageNode,
  type PageSize,
} from './written-page/document.js';
export { documentFromText } from './written-page/document-from-text.js';
export { documentHtml, type ShownFile } from './written-page/document-html.js';
export { documentFiles, documentLinks, documentText, isSafeLink, readDocument } from './written-page/read-document.js';
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
export {
  contentKinds,
  networkSecurities,
  type ContactContent,
  type Content,
  type ContentKind,
  type EmailContent,
  type EventContent,
  type NetworkContent,
  type NetworkSecurity,
  type PhoneContent,
  type PlaceContent,
  type TextMessageContent,
} from './payload/content.js';
export {
  contentProblems,
  contentProblemReasons,
  type ContentProblem,
  type ContentProblemReason,
} from './payload/content-problems.js';
export { contentText } from './payload/content-text.js';
export { titleFromContent } from './payload/content-title.js';
export { instantOf } from './time/zoned.js';
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
export {
  dependencies,
  ladderOf,
  rungReasons,
  type Dependency,
  type Ladder,
  type Rung,
  type RungReason,
} from './symbol/ladder.js';
export { levelChoices, repairedPercent, type LevelChoice } from './symbol/levels.js';
export type { SymbolFigures } from './symbol/figures.js';
export { growthSteps, type GrowthStep, type GrowthSteps } from './symbol/steps.js';
export { documentSizesMm, inTheHandMm, readsInTheHand, tooFineInTheHand } from './optics/in-the-hand.js';
export { actNeeded, ignoring, scannerActs, type ScannerAct, type ScannerProfile } from './scanner/acts.js';
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
export { drawCode, type DrawingWish, drawingSize, plainDrawing, type CodeDrawing } from './look/drawing.js';
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
  mendedColours,
  standing,
  type LookJudgement,
  type LookReason,
} from './look/judge-look.js';
export {
  contrastOf,
  contrastVerdict,
  prints,
  type Contrast,
  type ContrastVerdict,
  type Print,
} from './look/contrast.js';
export { centreLeaves, largestCentre, spareRepair, type SpareRepair } from './symbol/spare-repair.js';

export { weakestDevice } from './symbol/figures.js';
export { genericDevices, genericFigures, type DeviceFigures, type GenericDevice } from './optics/device-profiles.js';
export {
  focalLengthPx,
  pixelsPerModule,
  readerEngineNames,
  type DeviceProfile,
  type ReaderEngineName,
} from './optics/device.js';
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
export { rehearseDevice, nearestDistanceM, type RehearsalOptions, type RehearsedDevice } from './optics/rehearse.js';
export { attempt, type Attempt } from './optics/attempt.js';
export { limitingCauses, limitsAt, sizeThatReadsMm, type LimitingCause } from './optics/limits.js';
export { trialView, Trials, type ReadFrame, type Staging, type TriedDistance } from './optics/trial.js';
export { uniformSource } from './optics/random.js';

export { pageSize, paperFormats, paperNames, type PaperFormat } from './sheet/paper.js';
export {
  backOf,
  checkGrid,
  type DuplexAdjustment,
  type DuplexEdge,
  type Grid,
  type GridProblem,
  type MmBox,
  type PaperSize,
} from './sheet/grid.js';
export {
  accentReads,
  backFields,
  faceFields,
  plainAccent,
  plainSheetDesign,
  composedKinds,
  sheetKinds,
  usualFields,
  type BackField,
  type FaceDesign,
  type FaceField,
  type FacePart,
  type HeaderPicture,
  type SheetDesign,
  type SheetKind,
  type TextField,
} from './sheet/design.js';
export {
  layoutFace,
  type ArrowBox,
  type CodeBox,
  type FaceContent,
  type FaceLayout,
  type TextBox,
} from './sheet/face.js';
export {
  compose,
  frontsOf,
  gridOf,
  layoutPage,
  pagesOf,
  type Composition,
  type PageArrow,
  type PageCode,
  type PageLine,
  type PagePicture,
  type PageText,
  type SheetItem,
  type SheetPage,
  type SheetSetup,
} from './sheet/compose.js';
export {
  kindDistanceM,
  perPageChoices,
  plainChoices,
  usualLabels,
  usualPerPage,
  withBacks,
  type LabelGrid,
} from './sheet/kinds.js';
export { kindsThatHold, notesOf, type SheetNote } from './sheet/notes.js';
export {
  codeMmForDistance,
  largestPosterCodeMm,
  posterCodeMm,
  reachOfPrintM,
  type MeasuredReach,
} from './sheet/poster.js';
export {
  baselineMm,
  charactersOf,
  fitText,
  lineHeightMm,
  sheetFonts,
  type MeasureText,
  type SheetFont,
} from './sheet/text.js';
export { fileName } from './sheet/file-name.js';

export {
  answerStates,
  isStale,
  opensState,
  readsAnswer,
  paperAnswer,
  paperChanges,
  studentAccounts,
  worse,
  type AnswerState,
  type DeviceReach,
  type PaperAnswer,
  type PaperChange,
  type ReadsAnswer,
  type StudentAccounts,
} from './readiness/answer.js';
export { summarise, type FourStates, type ReadinessSummary } from './readiness/summary.js';

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

export { saidBy, saidKinds, type Said, type SaidKind } from './reading/said.js';
export { markedText, textMarks, type MarkedPiece, type TextMark } from './reading/marked-text.js';
export { measureSymbol, type Corners, type MeasuredSymbol, type Point } from './reading/measure-symbol.js';
export {
  guessRosterColumns,
  rosterRoles,
  type RosterColumns,
  type RosterRole,
  type RosterRows,
} from './roster/columns.js';
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
export { deskDistanceM, deskScene } from './roster/card-desk.js';
