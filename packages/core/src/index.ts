/** The one entry of the core: what the server, the web application and the readers may use. */
export { succeed, fail, unreachable, type Result } from './platform/result.js';
export { pointsPerMm, radians } from './platform/units.js';

export { repairKinds, type Repair, type RepairKind } from './gather/paste/repairs.js';
export { readIntake, holdsAddress } from './gather/paste/read-intake.js';
export { readItem, readLink } from './gather/paste/readings.js';
export type {
  IntakeAnswer,
  IntakeContact,
  IntakeItem,
  IntakeLink,
  IntakeQuestion,
  IntakeUnusable,
  IntakeWords,
} from './gather/paste/intake-item.js';
export { splitPieces } from './gather/paste/pieces.js';
export { addressDoubts, type AddressDoubt } from './gather/paste/address-body.js';
export { listedHosts, type IsListedHost } from './gather/service-description/listed-hosts.js';
export type { RefusedReason } from './gather/paste/refused.js';
export {
  bodyOf,
  columnRoles,
  guessColumns,
  looksLikeList,
  readColumns,
  readRow,
  type ColumnRole,
  type Columns,
} from './gather/intake/columns.js';
export { readTags } from './gather/intake/tags.js';
export {
  markDuplicates,
  prepareForDuplicates,
  comparableAddress,
  type DuplicateMark,
} from './gather/intake/duplicates.js';
export { recogniseKind, titleFromAddress, titleFromWords } from './gather/intake/kind.js';
export { linkKinds, materialKinds, type LinkKind, type MaterialKind } from './gather/material/material-kinds.js';

export {
  compileServices,
  emptyCatalogue,
  needPatterns,
  type LeftOutService,
  type ServiceCatalogue,
} from './gather/service-description/catalogue.js';
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
} from './gather/service-description/description.js';
export {
  descriptionProblems,
  descriptionProblemReasons,
  type DescriptionProblem,
  type DescriptionProblemReason,
} from './gather/service-description/description-problems.js';
export { describeAddress, isOwnShortener, type DescribedAddress } from './gather/service-description/match.js';
export { mendingFor, type Mending } from './opens/access/mending.js';
export type { CompilePattern, Pattern } from './gather/service-description/pattern.js';
export { samePage, trimLink, type TrimmedLink } from './opens/access/tracking.js';

export type { Evidence, Ending, FinalPage, FormFacts, Hop, InsideItem, PageFacts } from './opens/access/evidence.js';
export { accessVerdicts, letsIn, locksOut, type AccessVerdict } from './gather/service-description/access-verdict.js';
export {
  standsBefore,
  verdictReasons,
  type Finding,
  type Judgement,
  type VerdictReason,
} from './opens/access/judgement.js';
export { doubtReasons, doubtsOf, strangersBetween, type Doubt, type DoubtReason } from './opens/access/doubts.js';
export { insideLimits, isFolder, linksInside, type Holder, type PageLink } from './opens/access/inside.js';
export { dueOpenings, openingTimeNames, type DueOpening, type OpeningTime } from './opens/access/opening-times.js';
export { addressAtService, hostsOnTheWay } from './opens/access/on-the-way.js';
export { leadsOn } from './opens/access/rules/unknown.js';
export { rightsOf, type Rights } from './opens/access/rights.js';
export { judgeAccess } from './opens/access/verdict.js';

export { hostNameOf, isLoopbackHost, isWebAddress, parseUrl } from './platform/web-address.js';
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
} from './gather/kept/kept.js';
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
} from './gather/written-page/document.js';
export { documentFromText } from './gather/written-page/document-from-text.js';
export { documentHtml, type ShownFile } from './gather/written-page/document-html.js';
export {
  documentFiles,
  documentLinks,
  documentText,
  isSafeLink,
  readDocument,
} from './gather/written-page/read-document.js';
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
} from './code/payload/carry.js';
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
} from './gather/content/content.js';
export {
  contentProblems,
  contentProblemReasons,
  type ContentProblem,
  type ContentProblemReason,
} from './gather/content/content-problems.js';
export { contentText } from './code/payload/content-text.js';
export { titleFromContent } from './code/payload/content-title.js';
export { instantOf } from './platform/time/zoned.js';
export {
  differenceKind,
  differenceKinds,
  firstDifference,
  guessedEncoding,
  type Difference,
  type DifferenceKind,
} from './code/payload/compare.js';

export { modulesOf } from './code/symbol/versions.js';
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
} from './code/symbol/plan.js';
export { segmentModes, type Segment, type SegmentMode, type Segmentation } from './code/symbol/segments.js';
export {
  dependencies,
  ladderOf,
  rungReasons,
  type Dependency,
  type Ladder,
  type Rung,
  type RungReason,
} from './reads/ladder/ladder.js';
export { levelChoices, repairedPercent, type LevelChoice } from './reads/ladder/levels.js';
export type { SymbolFigures } from './reads/ladder/figures.js';
export { growthSteps, type GrowthStep, type GrowthSteps } from './code/symbol/steps.js';
export { documentSizesMm, inTheHandMm, readsInTheHand, tooFineInTheHand } from './reads/optics/in-the-hand.js';
export { actNeeded, ignoring } from './reads/scanner/acts.js';
export { scannerActs, type ScannerAct, type ScannerProfile } from './school/device/scanner-profile.js';
export { grainOf, grains, type Grain } from './code/symbol/grain.js';
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
} from './code/look/look.js';
export { drawCode, type DrawingOptions, drawingSize, plainDrawing, type CodeDrawing } from './code/look/drawing.js';
export type { DrawnShape, Paint } from './code/look/drawn-shape.js';
export type { Surround } from './code/look/frame.js';
export { iconStrokes, type IconNode } from './code/look/icon-strokes.js';
export { drawingElements, drawingSvg } from './code/look/code-svg.js';
export { reachShareOf } from './code/look/reach-share.js';
export { codeBits, codePixels, isTwoColours } from './code/look/pixels.js';
export {
  freeLevel,
  judgeLook,
  lookReasons,
  mendedColours,
  standing,
  type LookJudgement,
  type LookReason,
} from './code/look/judge-look.js';
export {
  contrastOf,
  contrastVerdict,
  prints,
  type Contrast,
  type ContrastVerdict,
  type Print,
} from './code/look/contrast.js';
export { centreLeaves, largestCentre, spareRepair, type SpareRepair } from './code/symbol/spare-repair.js';

export { weakestDevice } from './reads/ladder/figures.js';
export {
  genericDevices,
  genericFigures,
  type DeviceFigures,
  type GenericDevice,
} from './school/device/device-profiles.js';
export {
  focalLengthPx,
  pixelsPerModule,
  readerEngineNames,
  type DeviceProfile,
  type ReaderEngineName,
} from './school/device/device.js';
export {
  foretell,
  neededPixelsPerModule,
  neededSizeMm,
  predictReachM,
  sizeForDistanceMm,
  smallestPosterCodeMm,
  type Foretold,
} from './reads/optics/predictor.js';
export { renderFrame } from './reads/optics/camera.js';
export { farEdgePixelsPerModule, type View } from './reads/optics/projection.js';
export {
  lightLevels,
  printTechniques,
  surfaces,
  usualScene,
  type LightLevel,
  type PrintTechnique,
  type Scene,
  type Surface,
} from './reads/optics/scene.js';
export type { GreyFrame } from './reads/optics/sensor.js';
export {
  rehearseDevice,
  nearestDistanceM,
  type RehearsalOptions,
  type RehearsedDevice,
} from './reads/optics/rehearse.js';
export { attempt, type Attempt } from './reads/optics/attempt.js';
export { limitingCauses, limitsAt, sizeThatReadsMm, type LimitingCause } from './reads/optics/limits.js';
export { trialView, Trials, type ReadFrame, type Staging, type TriedDistance } from './reads/optics/trial.js';
export { uniformSource } from './reads/optics/random.js';

export { pageSize, paperFormats, paperNames, type PaperFormat } from './paper/sheet/paper.js';
export {
  backOf,
  checkGrid,
  type DuplexAdjustment,
  type DuplexEdge,
  type Grid,
  type GridProblem,
  type MmBox,
  type PaperSize,
} from './paper/sheet/grid.js';
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
} from './paper/sheet/design.js';
export { layoutFace } from './paper/sheet/face.js';
export {
  type ArrowBox,
  type CodeBox,
  type FaceContent,
  type FaceLayout,
  type TextBox,
} from './paper/sheet/face-content.js';
export { compose, layoutPage } from './paper/sheet/compose.js';
export {
  frontsOf,
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
} from './paper/sheet/sheet-page.js';
export { gridOf } from './paper/sheet/setup-grid.js';
export {
  kindDistanceM,
  perPageChoices,
  plainChoices,
  usualLabels,
  usualPerPage,
  withBacks,
  type LabelGrid,
} from './paper/sheet/kinds.js';
export { kindsThatHold, notesOf, type SheetNote } from './paper/sheet/notes.js';
export {
  codeMmForDistance,
  largestPosterCodeMm,
  posterCodeMm,
  reachOfPrintM,
  type MeasuredReach,
} from './paper/sheet/poster.js';
export {
  baselineMm,
  charactersOf,
  fitText,
  lineHeightMm,
  sheetFonts,
  type MeasureText,
  type SheetFont,
} from './code/typeface/text.js';
export { fileName } from './paper/sheet/file-name.js';

export { isStale, opensState } from './opens/access/opens-answer.js';
export { readsAnswer, type DeviceReach, type ReadsAnswer } from './reads/optics/reads-answer.js';
export { paperAnswer, paperChanges, type PaperAnswer, type PaperChange } from './paper/sheet/paper-answer.js';
export { studentAccounts, type StudentAccounts } from './school/accounts/student-accounts.js';
export { worse } from './platform/answer-state.js';
export { summarise, type FourStates, type ReadinessSummary } from './overview/readiness/summary.js';

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
} from './code/short-link/slug.js';
export { shortAddress, shortAddressInLetters, shortBase, slugAskedFor } from './code/short-link/short-address.js';
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
} from './code/short-link/opening-hours.js';
export { visitorKind, visitorKinds, type VisitorKind } from './code/short-link/visitor.js';

export { saidBy, saidKinds, type Said, type SaidKind } from './reads/reading/said.js';
export { markedText, textMarks, type MarkedPiece, type TextMark } from './reads/reading/marked-text.js';
export { measureSymbol, type Corners, type MeasuredSymbol, type Point } from './reads/reading/measure-symbol.js';
export {
  guessRosterColumns,
  rosterRoles,
  type RosterColumns,
  type RosterRole,
  type RosterRows,
} from './students/roster/columns.js';
export { nameKey, sortName, splitName, tidyName, wholeName, type NameParts } from './students/roster/name.js';
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
} from './students/roster/read-roster.js';
export {
  compareRoster,
  rosterParts,
  type ChangedStudent,
  type Known,
  type RosterComparison,
  type RosterPart,
} from './students/roster/compare-roster.js';
export {
  cardCodes,
  cardPayload,
  cardTokenNumbers,
  cardTokenOf,
  readCardText,
  type CardCode,
  type CardText,
} from './students/roster/card-code.js';
export { deskDistanceM, deskScene } from './paper/sheet/card-desk.js';
export { answerStates, type AnswerState } from './platform/answer-state.js';
