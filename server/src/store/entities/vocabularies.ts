/** Tables of vocabularies read from files, and of how headings of several correspond. */
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A vocabulary read from a file. Reading one of the same id again adds a row; the latest counts. */
@Entity({ name: 'imported_vocabulary' })
export class ImportedVocabularyRow {
  @PrimaryColumn('varchar') id: string;
  /** what queries name */
  @Column('varchar') vocabulary: string;
  @Column('varchar') name: string;
  @Column('varchar') release: string;
  @Column('integer') headings: number;
  /** the vocabulary as JSON, without its headings, which are in parts of their own; earlier rows have them here */
  @Column('text') content: string;
  /** what was odd in the file, as JSON */
  @Column('text') notes: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** Some of the headings of a vocabulary read from a file, as a JSON array. Parts of no row are of one being read. */
@Entity({ name: 'imported_headings' })
export class ImportedHeadingsRow {
  @PrimaryColumn('varchar') vocabularyRow: string;
  /** order among them, from 0 */
  @PrimaryColumn('integer') part: number;
  @Column('text') content: string;
}

/** One step in settling the crosswalk. Rows are only ever added; the latest about a pair counts. */
@Entity({ name: 'settlement' })
export class SettlementRow {
  @PrimaryColumn('varchar') id: string;
  /** order among all, from 1 */
  @Column('integer') position: number;
  @Column('varchar') vocabulary: string;
  @Column('varchar') label: string;
  @Column('varchar') target: string;
  @Column('varchar', { nullable: true }) targetLabel: string | null;
  @Column('varchar') verdict: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}
