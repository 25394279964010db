/** Tables of runs, the ledger and the records that were found. */
import type { LedgerLimit, LedgerLine } from '@even-lantern/core';
import { DECISIONS, type RunMark } from '@even-lantern/contract';
import { PersonRow, ReviewRow } from './question.js';
import type { Begun, KeptDrift, KeptSummary } from './shapes.js';
import {
  DatabaseId,
  Flag,
  Id,
  Json,
  JsonText,
  KeyText,
  RefersTo,
  Short,
  Table,
  Text,
  Whole,
} from '../description.js';
import {
  areLedgerLimits,
  areLedgerLines,
  areRunMarks,
  areTexts,
  from,
  instant,
  isBegun,
  isDrift,
  isRecord,
  oneOf,
} from '../columnChecks.js';

@Table('run', 'review')
export class RunRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @DatabaseId() database: string;
  @Short({ check: oneOf(['running', 'complete', 'interrupted']) }) status: string;
  @Short({ check: instant }) startedAt: string;
  @Short() timeZone: string;
  @RefersTo(() => PersonRow) ranBy: string;
  @Short() databaseName: string;
  @Short() release: string;
  /** the language of the lines' strings: `cql`, or the id of a dialect */
  @Short() queryType: string;
  /** the lines with their hits so far, as JSON */
  @Json('array', { check: areLedgerLines }) lines: LedgerLine[];
  @Whole({ nullable: true, check: from(0) }) hits: number | null;
  @Whole({ check: from(0) }) fetched: number;
  @Text({ nullable: true }) reason: string | null;
  /** up to how many records are fetched */
  @Whole() most: number;
  /** when it was last heard of */
  @Short() lastAt: string;
  /** what was odd in the answers, as JSON */
  @Json('array', { check: areTexts }) remarks: string[];
  /** what marks the records that it found, as JSON; null for runs made before that was kept */
  @Json('array', { nullable: true, check: areRunMarks }) marks: RunMark[] | null;
  /** the limits that were applied or could not be, as JSON; null for runs made before there were limits */
  @Json('array', { nullable: true, check: areLedgerLimits }) limits: LedgerLimit[] | null;
  /** what else its entry tells of how it was begun, as JSON; null for runs made before that was kept */
  @Json('object', { nullable: true, check: isBegun }) begun: Begun | null;
}

/** A search that somebody made elsewhere, and whose records came in a file. */
@Table('elsewhere_search', 'review')
export class ElsewhereSearchRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** by what its records are known, in place of a database: the same for all searches of one place */
  @Short() source: string;
  @Text() name: string;
  @Short() enteredAt: string;
  @RefersTo(() => PersonRow) enteredBy: string;
  /** how many records the file held */
  @Whole() records: number;
  /** what was odd in the file */
  @Json('array', { check: areTexts }) remarks: string[];
}

/** Which records a search made elsewhere brought, in the order of its file. */
@Table('elsewhere_record', 'review')
export class ElsewhereRecordRow {
  @RefersTo(() => ElsewhereSearchRow, { key: true }) searchId: string;
  @KeyText() accession: string;
  @Whole() rank: number;
  /** the SHA-256 of the record as the file gave it */
  @Short({ nullable: true }) digest: string | null;
}

@Table('ledger_entry', 'review')
export class LedgerEntryRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** null for what is no run */
  @RefersTo(() => RunRow, { nullable: true }) runId: string | null;
  /** the search made elsewhere that it tells of, where that brought records */
  @RefersTo(() => ElsewhereSearchRow, { nullable: true }) searchId: string | null;
  @Whole() entry: number;
  @JsonText('object') content: string;
  /** of the content: what lists show and are narrowed by */
  @Short({ check: oneOf(['run', 'note', 'correction', 'elsewhere']) }) kind: string;
  @Short({ nullable: true }) database: string | null;
  @Short({ nullable: true }) outcome: string | null;
  /** the number of the entry that it is about or repeats */
  @Whole({ nullable: true }) about: number | null;
  /** as JSON */
  @Json('object') summary: KeptSummary;
  /** folded, to be searched */
  @Text() words: string;
  @Short({ nullable: true }) previousHash: string | null;
  @Short() hash: string;
}

@Table('record', 'review')
export class RecordRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @Short() database: string;
  @Short() accession: string;
  /** the run that found it last; null where only searches made elsewhere brought it */
  @RefersTo(() => RunRow, { nullable: true }) lastRunId: string | null;
  /** the search made elsewhere that brought it last; null where runs found it */
  @RefersTo(() => ElsewhereSearchRow, { nullable: true }) lastSearchId: string | null;
  /** place in the order of relevance of the last run, or in the file of the last search, from 1 */
  @Whole() rank: number;
  @Text() title: string;
  @Whole() year: number;
  @Text() journal: string;
  /** the whole record as JSON */
  @JsonText('object', { check: isRecord }) record: string;
  @Short({ check: oneOf(DECISIONS) }) decision: string;
  @RefersTo(() => PersonRow, { nullable: true }) decidedBy: string | null;
  @Short({ nullable: true, check: instant }) decidedAt: string | null;
  /** of the record, as JSON, for lists */
  @Json('array', { check: areTexts }) publicationTypes: string[];
  /** of the decision alone: what a later run says of the record leaves it as it is */
  @Whole({ check: from(1) }) version: number;
  /** the design that is likely or was judged; empty where nothing tells of any, null until somebody asks */
  @Short({ nullable: true }) design: string | null;
  /** whether a person judged the design, so that rules leave it as it is */
  @Flag() designJudged: boolean;
}

/** Which records each run found, in its order. */
@Table('run_record', 'review')
export class RunRecordRow {
  @RefersTo(() => RunRow, { key: true }) runId: string;
  @KeyText() accession: string;
  @Whole() rank: number;
  /** the SHA-256 of the record as the run found it; null for runs made before that was kept */
  @Short({ nullable: true }) digest: string | null;
}

/** A record as a run found it, where the record itself says something else by now. */
@Table('record_state', 'review')
export class RecordStateRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @Short() database: string;
  @Short() accession: string;
  @Short() digest: string;
  /** as JSON */
  @JsonText('object', { check: isRecord }) record: string;
}

/** How a run differs from an earlier one, once somebody has looked. */
@Table('drift', 'review')
export class DriftRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** the numbers of the entries of both */
  @Whole() entry: number;
  @Whole() against: number;
  /** as JSON */
  @Json('object', { check: isDrift }) content: KeptDrift;
  @Short({ check: instant }) at: string;
}

/** How many records of a review stand at a decision. */
@Table('record_count', 'review')
export class RecordCountRow {
  @RefersTo(() => ReviewRow, { key: true }) reviewId: string;
  @KeyText() decision: string;
  @Whole() number: number;
}

/** What somebody judged the design of a record to be. Rows are only ever added; the latest counts. */
@Table('design_judgement', 'review')
export class DesignJudgementRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @RefersTo(() => RecordRow) recordId: string;
  /** order within the record, from 1 */
  @Whole() position: number;
  /** null where a judgement was taken back */
  @Short({ nullable: true }) design: string | null;
  @Short({ check: instant }) at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** With which rules the designs of a review’s records were told. */
@Table('design_pass', 'review')
export class DesignPassRow {
  @RefersTo(() => ReviewRow, { key: true }) reviewId: string;
  /** a digest of the rules */
  @Short() rules: string;
}
