/** All steps that bring a store up to date, the earliest first. A step that has been released is never changed. */
import { AcceptedFindings1800000000013 } from './acceptedFindings.js';
import { AddedDatabases1798000000000 } from './addedDatabases.js';
import { CallBudgets1800000000016 } from './callBudgets.js';
import { CrosswalkTables1796000000000 } from './crosswalkTables.js';
import { Designs1800000000009 } from './designs.js';
import { EditSteps1800000000015 } from './editSteps.js';
import { ElsewhereSearches1800000000022 } from './elsewhereSearches.js';
import { FirstTables1790000000000 } from './firstTables.js';
import { GivenRecords1800000000004 } from './givenRecords.js';
import { ImportedHeadings1800000000005 } from './importedHeadings.js';
import { LaneHistory1795000000000 } from './laneHistory.js';
import { Lanes1800000000006 } from './lanes.js';
import { LastSteps1800000000025 } from './lastSteps.js';
import { LatestLines1800000000000 } from './latestLines.js';
import { Limits1800000000008 } from './limits.js';
import { LedgerKinds1800000000019 } from './ledgerKinds.js';
import { LinesFor1800000000018 } from './linesFor.js';
import { LineTexts1799000000000 } from './lineTexts.js';
import { MoreDatabases1797000000000 } from './moreDatabases.js';
import { Occurrences1800000000023 } from './occurrences.js';
import { OwnLines1800000000012 } from './ownLines.js';
import { PeerReviews1800000000017 } from './peerReviews.js';
import { QuestionHistory1795000000001 } from './questionHistory.js';
import { RecordDesigns1800000000011 } from './recordDesigns.js';
import { RecordLists1800000000002 } from './recordLists.js';
import { RecordStates1800000000020 } from './recordStates.js';
import { RunStates1800000000001 } from './runStates.js';
import { SavedFilters1800000000010 } from './savedFilters.js';
import { Schedules1800000000021 } from './schedules.js';
import { Shelf1800000000007 } from './shelf.js';
import { StrategyVersions1800000000014 } from './strategyVersions.js';
import { UniquePositions1800000000003 } from './uniquePositions.js';
import { VersionNames1800000000024 } from './versionNames.js';

export const MIGRATIONS = [
  FirstTables1790000000000,
  LaneHistory1795000000000,
  QuestionHistory1795000000001,
  CrosswalkTables1796000000000,
  MoreDatabases1797000000000,
  AddedDatabases1798000000000,
  LineTexts1799000000000,
  LatestLines1800000000000,
  RunStates1800000000001,
  RecordLists1800000000002,
  UniquePositions1800000000003,
  GivenRecords1800000000004,
  ImportedHeadings1800000000005,
  Lanes1800000000006,
  Shelf1800000000007,
  Limits1800000000008,
  Designs1800000000009,
  SavedFilters1800000000010,
  RecordDesigns1800000000011,
  OwnLines1800000000012,
  AcceptedFindings1800000000013,
  StrategyVersions1800000000014,
  EditSteps1800000000015,
  CallBudgets1800000000016,
  PeerReviews1800000000017,
  LinesFor1800000000018,
  LedgerKinds1800000000019,
  RecordStates1800000000020,
  Schedules1800000000021,
  ElsewhereSearches1800000000022,
  Occurrences1800000000023,
  VersionNames1800000000024,
  LastSteps1800000000025,
];
