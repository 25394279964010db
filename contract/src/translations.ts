import type { Effect, StrategyProblem } from '@even-lantern/core';
import type { Counted, ShownLine } from './databases.js';

/** Something that a database’s dialect cannot say. */
export interface TranslatedLoss {
  /** where in what is sent, as UTF-16 offsets */
  from: number;
  to: number;
  lost: string;
  instead: string;
  effect: Effect;
  /** records that only what was said instead finds, and that only what was meant finds; null where not counted */
  gained: number | null;
  missed: number | null;
}

/** A line as somebody wrote it by hand. */
export interface WrittenText {
  language: 'own' | 'cql';
  text: string;
  at: string;
  person: string;
  /** why it cannot be read, and where; what the lanes give is searched then */
  problem: { message: string; at: number } | null;
  /** what other databases, or readers, would take otherwise */
  cautions: { message: string; at: number }[];
}

/** A text in the other language, before anything is changed. */
export interface ConvertedText {
  /** null where what stands there cannot be read */
  text: string | null;
  /** why it cannot be read, and where */
  problem: { message: string; at: number } | null;
  losses: TranslatedLoss[];
}

/** What the lanes give for a line, standing alone. */
export interface FromLanes extends Counted {
  own: string;
  cql: string;
}

export interface TranslatedLine extends ShownLine, Counted {
  /** the line as people type it here, with references to other lines where the dialect has them */
  text: string;
  /** the line standing alone: exactly what is sent */
  sent: string;
  /** by their place in `sent` */
  losses: TranslatedLoss[];
  /** what the line finds with nothing lost, where the database can count that too */
  intended: Counted;
  /** the query as the database says it understood it, in CQL; null when it did not say */
  understood: string | null;
  /** how we read what was sent, in CQL */
  expected: string;
  /** names the line whatever its number is */
  key: string;
  /** what somebody wrote in its place; null for a line that the lanes give */
  written: WrittenText | null;
  /** how often it has been written or taken back */
  version: number;
  /** null where the lanes give no such line */
  lanes: FromLanes | null;
}

/** A line was written by hand, or taken back: that much is kept, whatever becomes of the rest. */
export interface LineWritten {
  /** how often it has been written or taken back now */
  version: number;
  /** the strategy as it stands now; null where it could not be told, and is to be asked for again */
  translation: Translation | null;
}

/** A strategy in the dialect of one database. */
export interface Translation {
  database: string;
  databaseName: string;
  release: string;
  simulated: boolean;
  /** `cql`, or the database’s own dialect */
  queryType: string;
  /** how its operators are read without parentheses; null in CQL */
  precedence: string | null;
  lines: TranslatedLine[];
  problems: StrategyProblem[];
  /** counts that are not there yet, since the database is slow or may be asked only so much; they are null */
  unasked: number;
}
