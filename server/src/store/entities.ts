/** The tables. Plain columns only, so that another SQL engine can carry them. Dates are ISO 8601 text in UTC. */
import {
  PersonRow,
  ReviewRow,
  ElementRow,
  WordingRow,
  LaneRow,
  TermRow,
  LaneEventRow,
  ShelfItemRow,
} from './entities/question.js';
import {
  LimitRow,
  OwnLineRow,
  LineTextRow,
  AcceptedFindingRow,
  StrategyVersionRow,
  EditStepRow,
  PeerReviewRow,
  PointJudgementRow,
  PeerCommentRow,
  SavedFilterRow,
} from './entities/strategy.js';
import { ImportedVocabularyRow, ImportedHeadingsRow, SettlementRow } from './entities/vocabularies.js';
import {
  DatabaseChoiceRow,
  AddedDatabaseRow,
  DatabaseEventRow,
  CallBudgetRow,
  HandCountRow,
  HandRecordRow,
} from './entities/databases.js';
import {
  RunRow,
  ElsewhereSearchRow,
  ElsewhereRecordRow,
  LedgerEntryRow,
  RecordRow,
  RunRecordRow,
  RecordStateRow,
  DriftRow,
  RecordCountRow,
  DesignJudgementRow,
  DesignPassRow,
} from './entities/records.js';

import { OccurrenceRow, ScheduleRow } from './entities/schedules.js';

export * from './entities/question.js';
export * from './entities/strategy.js';
export * from './entities/vocabularies.js';
export * from './entities/databases.js';
export * from './entities/records.js';
export * from './entities/schedules.js';
export * from './entities/shapes.js';

export const ENTITIES = [
  LineTextRow,
  AddedDatabaseRow,
  HandCountRow,
  HandRecordRow,
  DatabaseChoiceRow,
  DatabaseEventRow,
  CallBudgetRow,
  PersonRow,
  ReviewRow,
  ElementRow,
  LaneRow,
  ShelfItemRow,
  LimitRow,
  OwnLineRow,
  AcceptedFindingRow,
  StrategyVersionRow,
  EditStepRow,
  PeerReviewRow,
  PointJudgementRow,
  PeerCommentRow,
  DesignJudgementRow,
  DesignPassRow,
  SavedFilterRow,
  WordingRow,
  TermRow,
  LaneEventRow,
  RunRow,
  ElsewhereSearchRow,
  ElsewhereRecordRow,
  LedgerEntryRow,
  RecordRow,
  RecordCountRow,
  RunRecordRow,
  RecordStateRow,
  DriftRow,
  ScheduleRow,
  OccurrenceRow,
  ImportedVocabularyRow,
  ImportedHeadingsRow,
  SettlementRow,
];
