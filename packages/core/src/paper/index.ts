/** What the core offers of `paper`. */
export { pageSize, paperFormats, paperNames, type PaperFormat } from './sheet/paper.js';
export {
  backOf,
  checkGrid,
  type DuplexAdjustment,
  type DuplexEdge,
  type Grid,
  type GridProblem,
} from './sheet/grid.js';
export { type MmBox, type PaperSize } from './face/box.js';
export {
  backFields,
  choiceOf,
  directionOf,
  faceFields,
  type BackField,
  type FaceField,
  type LaidField,
  type TextField,
} from './face/fields.js';
export { faceLayouts, layoutsOf, type FaceLayoutName } from './face/face-design-of.js';
export {
  accentReads,
  cardDesigns,
  plainAccent,
  plainSheetDesign,
  composedKinds,
  sheetKinds,
  usualFields,
  type CardDesign,
  type HeaderPicture,
  type SheetDesign,
  type SheetKind,
} from './sheet/design.js';
export { longestPrintedAddress, typedAddress } from './sheet/printed-address.js';
export { bandColours } from './sheet/band-colours.js';
export { type CodeBox, type FaceContent, type FaceLayout, type TextBox } from './face/face-content.js';
export { compose, layoutPage } from './sheet/compose.js';
export {
  frontsOf,
  pagesOf,
  type Composition,
  type PageBand,
  type PageCode,
  type PageLine,
  type PagePicture,
  type PageTapSign,
  type PageText,
  type SheetItem,
  type SheetPage,
  type SheetPhrases,
  type SheetSetup,
} from './sheet/sheet-page.js';
export { gridOf } from './sheet/setup-grid.js';
export {
  kindDistanceM,
  perPageChoices,
  plainChoices,
  usualLabels,
  usualPerPage,
  withBacks,
  type LabelGrid,
} from './sheet/kinds.js';
export { isSameLabelSheet, labelSheets } from './sheet/label-sheets.js';
export { kindsThatHold, notesOf, type LargerWay, type SheetNote } from './sheet/notes.js';
export {
  codeMmForDistance,
  largestPosterCodeMm,
  posterCodeMm,
  reachOfPrintM,
  type MeasuredReach,
} from './sheet/poster.js';
export { fileName } from './sheet/file-name.js';
export {
  paperAnswer,
  paperChanges,
  type PaperAnswer,
  type PaperChange,
  type PrintedFacts,
} from './sheet/paper-answer.js';
export { deskDistanceM, deskScene } from './sheet/card-desk.js';
