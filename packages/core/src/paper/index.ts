/** What the core offers of `paper`. */
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
  cardBack,
  cardDesigns,
  faceFields,
  plainAccent,
  plainSheetDesign,
  composedKinds,
  sheetKinds,
  usualFields,
  type BackField,
  type CardDesign,
  type FaceDesign,
  type FaceField,
  type FacePart,
  type HeaderPicture,
  type SheetDesign,
  type SheetKind,
  type TextField,
} from './sheet/design.js';
export { layoutFace } from './sheet/face.js';
export { bandColours } from './sheet/band-colours.js';
export { type ArrowBox, type CodeBox, type FaceContent, type FaceLayout, type TextBox } from './sheet/face-content.js';
export { compose, layoutPage } from './sheet/compose.js';
export {
  frontsOf,
  pagesOf,
  type Composition,
  type PageArrow,
  type PageBand,
  type PageCode,
  type PageLine,
  type PagePicture,
  type PageText,
  type SheetItem,
  type SheetPage,
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
export { kindsThatHold, notesOf, type SheetNote } from './sheet/notes.js';
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
