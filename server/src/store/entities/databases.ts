/** Tables of databases: which are searched, which were added, and what people gave from them. */
import type { KeptDatabase } from './shapes.js';
import { PersonRow, ReviewRow } from './question.js';
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
import { from, isRecord } from '../columnChecks.js';

/** Whether a database is searched for a review, and why not. */
@Table('database_choice', 'review')
export class DatabaseChoiceRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @DatabaseId() database: string;
  @Flag() chosen: boolean;
  @Text() note: string;
  @Short() at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** A database that a person added. One that is removed stays, since what was run in it stays. */
@Table('added_database', 'named by reviews')
export class AddedDatabaseRow {
  @Id() id: string;
  /** what was said of it, as JSON */
  @Json('object') content: KeptDatabase;
  @Short() addedAt: string;
  @RefersTo(() => PersonRow) addedBy: string;
  @Short({ nullable: true }) removedAt: string | null;
}

/** What somebody did to a database. Rows are only ever added. */
@Table('database_event', 'installation')
export class DatabaseEventRow {
  @Id() id: string;
  @Short() database: string;
  /** order within the database, from 1 */
  @Whole() position: number;
  @Short() what: string;
  /** such as the release it was moved to */
  @Text() detail: string;
  @Short() at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** How much a database may be asked, where somebody said so. */
@Table('call_budget', 'installation')
export class CallBudgetRow {
  @KeyText() database: string;
  @Whole() atOnce: number;
  /** null for no bound */
  @Whole({ nullable: true }) perSecond: number | null;
  @Short() changedAt: string;
  @RefersTo(() => PersonRow) changedBy: string;
}

/** What a string found in a database that is asked by hand. Rows are only ever added; the latest counts. */
@Table('hand_count', 'named by reviews')
export class HandCountRow {
  @Id() id: string;
  @RefersTo(() => AddedDatabaseRow) database: string;
  /** order within the database, from 1 */
  @Whole() position: number;
  /** the SHA-256 of what the string means, in CQL */
  @Text() meaning: string;
  @Text() string: string;
  @Whole({ check: from(0) }) hits: number;
  @Short() at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** A record given back for a string from a database that is asked by hand. */
@Table('hand_record', 'named by reviews')
export class HandRecordRow {
  @Id() id: string;
  @RefersTo(() => AddedDatabaseRow) database: string;
  @Text() meaning: string;
  /** order within the string, from 1 */
  @Whole() position: number;
  @Short() accession: string;
  /** the whole record as JSON */
  @JsonText('object', { check: isRecord }) record: string;
}
