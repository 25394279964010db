/** Tables of runs, the ledger and the records that were found. */
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** The language of the lines where no database was asked: the records are those of a search made elsewhere. */
export const ELSEWHERE = 'elsewhere';

@Entity({ name: 'run' })
export class RunRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('varchar') status: string;
  @Column('varchar') startedAt: string;
  @Column('varchar') timeZone: string;
  @Column('varchar') ranBy: string;
  @Column('varchar') databaseName: string;
  @Column('varchar') release: string;
  /** the language of the lines' strings: `cql`, or the id of a dialect; `elsewhere` where no database was asked */
  @Column('varchar') queryType: string;
  /** the lines with their hits so far, as JSON */
  @Column('text') lines: string;
  @Column('integer', { nullable: true }) hits: number | null;
  @Column('integer') fetched: number;
  @Column('text', { nullable: true }) reason: string | null;
  /** up to how many records are fetched */
  @Column('integer') most: number;
  /** when it was last heard of */
  @Column('varchar') lastAt: string;
  /** what was odd in the answers, as JSON */
  @Column('text') remarks: string;
  /** what marks the records that it found, as JSON; null for runs made before that was kept */
  @Column('text', { nullable: true }) marks: string | null;
  /** the limits that were applied or could not be, as JSON; null for runs made before there were limits */
  @Column('text', { nullable: true }) limits: string | null;
  /** what else its entry tells of how it was begun, as JSON; null for runs made before that was kept */
  @Column('text', { nullable: true }) begun: string | null;
}

@Entity({ name: 'ledger_entry' })
export class LedgerEntryRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** null for what is no run */
  @Column('varchar', { nullable: true }) runId: string | null;
  @Column('integer') entry: number;
  @Column('text') content: string;
  /** of the content: what lists show and are narrowed by */
  @Column('varchar') kind: string;
  @Column('varchar', { nullable: true }) database: string | null;
  @Column('varchar', { nullable: true }) outcome: string | null;
  /** the number of the entry that it is about or repeats */
  @Column('integer', { nullable: true }) about: number | null;
  /** as JSON */
  @Column('text') summary: string;
  /** folded, to be searched */
  @Column('text') words: string;
  @Column('varchar', { nullable: true }) previousHash: string | null;
  @Column('varchar') hash: string;
}

@Entity({ name: 'record' })
export class RecordRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('varchar') accession: string;
  @Column('varchar') lastRunId: string;
  /** place in the last run's order of relevance, from 1 */
  @Column('integer') rank: number;
  @Column('text') title: string;
  @Column('integer') year: number;
  @Column('text') journal: string;
  /** the whole record as JSON */
  @Column('text') record: string;
  @Column('varchar') decision: string;
  @Column('varchar', { nullable: true }) decidedBy: string | null;
  @Column('varchar', { nullable: true }) decidedAt: string | null;
  /** of the record, as JSON, for lists */
  @Column('text') publicationTypes: string;
  /** of the decision alone: what a later run says of the record leaves it as it is */
  @Column('integer') version: number;
  /** the design that is likely or was judged; empty where nothing tells of any, null until somebody asks */
  @Column('varchar', { nullable: true }) design: string | null;
  /** whether a person judged the design, so that rules leave it as it is */
  @Column('boolean') designJudged: boolean;
}

/** Which records each run found, in its order. */
@Entity({ name: 'run_record' })
export class RunRecordRow {
  @PrimaryColumn('varchar') runId: string;
  @PrimaryColumn('varchar') accession: string;
  @Column('integer') rank: number;
  /** the SHA-256 of the record as the run found it; null for runs made before that was kept */
  @Column('varchar', { nullable: true }) digest: string | null;
}

/** A record as a run found it, where the record itself says something else by now. */
@Entity({ name: 'record_state' })
export class RecordStateRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('varchar') accession: string;
  @Column('varchar') digest: string;
  /** as JSON */
  @Column('text') record: string;
}

/** How a run differs from an earlier one, once somebody has looked. */
@Entity({ name: 'drift' })
export class DriftRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** the numbers of the entries of both */
  @Column('integer') entry: number;
  @Column('integer') against: number;
  /** as JSON */
  @Column('text') content: string;
  @Column('varchar') at: string;
}

/** How many records of a review stand at a decision. */
@Entity({ name: 'record_count' })
export class RecordCountRow {
  @PrimaryColumn('varchar') reviewId: string;
  @PrimaryColumn('varchar') decision: string;
  @Column('integer') number: number;
}

/** What somebody judged the design of a record to be. Rows are only ever added; the latest counts. */
@Entity({ name: 'design_judgement' })
export class DesignJudgementRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') recordId: string;
  /** order within the record, from 1 */
  @Column('integer') position: number;
  /** null where a judgement was taken back */
  @Column('varchar', { nullable: true }) design: string | null;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** With which rules the designs of a review’s records were told. */
@Entity({ name: 'design_pass' })
export class DesignPassRow {
  @PrimaryColumn('varchar') reviewId: string;
  /** a digest of the rules */
  @Column('varchar') rules: string;
}
