/** Tables of vocabularies read from files, and of how headings of several correspond. */
import { PersonRow } from './question.js';
import { Id, Json, JsonText, KeyNumber, RefersTo, Short, Table, Whole } from '../description.js';

/** A vocabulary read from a file. Reading one of the same id again adds a row; the latest counts. */
@Table('imported_vocabulary', 'installation')
export class ImportedVocabularyRow {
  @Id() id: string;
  /** what queries name */
  @Short() vocabulary: string;
  @Short() name: string;
  @Short() release: string;
  @Whole() headings: number;
  /** the vocabulary as JSON, without its headings, which are in parts of their own; earlier rows have them here */
  @JsonText('object') content: string;
  /** what was odd in the file, as JSON */
  @Json('array') notes: string[];
  @Short() at: string;
  @RefersTo(() => PersonRow) personId: string;
}

/** Some of the headings of a vocabulary read from a file, as a JSON array. Parts of no row are of one being read. */
@Table('imported_headings', 'installation')
export class ImportedHeadingsRow {
  @RefersTo(() => ImportedVocabularyRow, { key: true }) vocabularyRow: string;
  /** order among them, from 0 */
  @KeyNumber() part: number;
  @JsonText('array') content: string;
}

/** One step in settling the crosswalk. Rows are only ever added; the latest about a pair counts. */
@Table('settlement', 'along with reviews')
export class SettlementRow {
  @Id() id: string;
  /** order among all, from 1 */
  @Whole() position: number;
  @Short() vocabulary: string;
  @Short() label: string;
  @Short() target: string;
  @Short({ nullable: true }) targetLabel: string | null;
  @Short() verdict: string;
  @Short() at: string;
  @RefersTo(() => PersonRow) personId: string;
}
