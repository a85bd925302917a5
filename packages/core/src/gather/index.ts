/** What the core offers of `gather`. */
export { repairKinds, type Repair, type RepairKind } from './paste/repairs.js';
export { readIntake, holdsAddress } from './paste/read-intake.js';
export { readItem, readLink } from './paste/readings.js';
export type {
  IntakeAnswer,
  IntakeContact,
  IntakeItem,
  IntakeLink,
  IntakeQuestion,
  IntakeUnusable,
  IntakeWords,
} from './paste/intake-item.js';
export { splitPieces } from './paste/pieces.js';
export { addressDoubts, type AddressDoubt } from './paste/address-body.js';
export { listedHosts, type IsListedHost } from './service-description/listed-hosts.js';
export type { RefusedReason } from './paste/refused.js';
export {
  bodyOf,
  columnRoles,
  guessColumns,
  looksLikeList,
  readColumns,
  readRow,
  type ColumnRole,
  type Columns,
} from './intake/columns.js';
export { readTags } from './intake/tags.js';
export { markDuplicates, prepareForDuplicates, comparableAddress, type DuplicateMark } from './intake/duplicates.js';
export { recogniseKind, titleFromAddress, titleFromName, titleFromWords } from './intake/kind.js';
export { linkKinds, materialKinds, type LinkKind, type MaterialKind } from './material/material-kinds.js';
export {
  compileServices,
  emptyCatalogue,
  needPatterns,
  type LeftOutService,
  type ServiceCatalogue,
} from './service-description/catalogue.js';
export {
  addressRoles,
  describedRights,
  wallVerdicts,
  type AddressDescription,
  type AddressRole,
  type FixDescription,
  type RightDescription,
  type ServiceDescription,
  type WallDescription,
  type WallVerdict,
} from './service-description/description.js';
export {
  descriptionProblems,
  descriptionProblemReasons,
  type DescriptionProblem,
  type DescriptionProblemReason,
} from './service-description/description-problems.js';
export { withTodaysNames } from './service-description/earlier-names.js';
export { describeAddress, isOwnShortener, type DescribedAddress } from './service-description/match.js';
export type { CompilePattern, Pattern } from './service-description/pattern.js';
export { accessVerdicts, letsIn, locksOut, type AccessVerdict } from './service-description/access-verdict.js';
export {
  containerName,
  findingsOf,
  formatsNeeded,
  isLookedInto,
  mediaKinds,
  type FileFacts,
  type FileFindings,
  type KeptFacts,
  type Media,
  type MediaTracks,
} from './kept/file-facts.js';
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
export {
  documentFiles,
  documentLinks,
  documentText,
  isSafeLink,
  labelledLinks,
  readDocument,
} from './written-page/read-document.js';
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
} from './content/content.js';
export {
  contentProblems,
  contentProblemReasons,
  type ContentProblem,
  type ContentProblemReason,
} from './content/content-problems.js';
