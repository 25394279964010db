export {
  addsQueries,
  asWritten,
  compileLanes,
  foundLine,
  joinParts,
  laneParts,
  linesToRun,
  searchedTerms,
  standaloneQuery,
  termQuery,
} from './compile.js';
export { describeLine, describeTerm, namedField, unusualMarks } from './describe.js';

export {
  laneKey,
  limitKey,
  lineKeyOf,
  linesIn,
  ownKey,
  convertLine,
  parseLine,
  readEdit,
  renumbered,
  termKey,
  WHOLE_LINE,
} from './edits.js';
export type { EditedLine, Edits, LineKey, LineText, ReadEdit } from './edits.js';
export {
  EARLIER_LANES_FORM,
  LANES_FORM,
  lanesToCsv,
  lanesToDocument,
  lanesToMarkdown,
} from './laneExport.js';
export type { LaneDocument, LanesDocument, NamedLane, ShelfDocument } from './laneExport.js';
export { sameTerm } from './sameTerm.js';
export {
  keysWith,
  placesOf,
  sheetsToCsv,
  sheetsToMarkdown,
  sheetToText,
  STRATEGY_FORM,
  strategyToDocument,
} from './strategyExport.js';
export type {
  SheetLine,
  SheetOfDatabase,
  StrategyDocument,
  WholeStrategy,
  WrittenDocument,
} from './strategyExport.js';
export { queryWithout } from './effects.js';
export { strategyPicture, type FallPictureStep, type StrategyPicture } from './picture.js';
export type { JoinedPart, StrategyParts } from './compile.js';
export {
  joinedText,
  linesReferredTo,
  mergedText,
  OWN_LINE_ROLES,
  readOwnLine,
  readShownText,
  reference,
  ROLE_NAMES,
  splitText,
  textReferringTo,
  textToKeep,
  textToShow,
  textWithKeys,
} from './ownLines.js';
export type { OwnLine, OwnLineRole, OwnPart } from './ownLines.js';
export { LINE_KINDS, TERM_ORIGINS } from './model.js';
export type {
  Lane,
  LimitPart,
  Line,
  LineKind,
  Strategy,
  StrategyProblem,
  Term,
  TermContent,
  TermOrigin,
} from './model.js';
export { missingFields, searchFieldsOf, TERM_FIELDS } from './termFields.js';
export type { TermField } from './termFields.js';
export { translateLine } from './translate.js';
export type { TranslatedLine } from './translate.js';
export { describeLoss, inFields, queryAsSent, resolverAsSent } from './saying.js';
export type { ResolvedTerm, TermQueryResult, TermResolver } from './termResolver.js';
export { databaseContext, type KnownOfDatabase } from './databaseContext.js';
export {
  lanesOfQuestion,
  nameOfLane,
  type ElementOfLane,
  type KeptLane,
  type LaneOfQuestion,
} from './lanes.js';
export { foldTerms, LINES_FOR, nameLines, type LinesFor } from './fold.js';
