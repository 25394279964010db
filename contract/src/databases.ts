import type {
  BibRecord,
  DialectDescription,
  LineKind,
  StrategyProblem,
  Suitability,
} from '@even-lantern/core';

/** How a database is reached: it ships with the program, somebody gave its address, or a person asks it by hand. */
export type DatabaseReach = 'shipped' | 'address' | 'hand';

/**
 * How a database answers. A slow one keeps what it said last and is still asked; one is away when several calls in a row
 * have failed, and its last answers are shown as such.
 */
export type DatabaseState = 'ready' | 'slow' | 'away';

export interface DatabaseProfile {
  id: string;
  state: DatabaseState;
  /** in a sentence, why it is slow or away; null when it is ready */
  trouble: string | null;
  name: string;
  description: string;
  release: string;
  simulated: boolean;
  records: number | null;
  vocabulary: { id: string; name: string } | null;
  /** fields that limits may name, with their values; none where there are too many to list */
  limits: Record<string, string[]>;
  /** by kind of limit, the own limit that somebody matched to it; those that ship with the program need none */
  matchedLimits?: Record<string, string>;
  /** its own dialect; null where it takes our CQL alone, which can say everything */
  dialect: DialectDescription | null;
  reached: DatabaseReach;
  /** the releases it can be asked for, oldest first, the present one last; empty where it knows but one */
  releases: string[];
  /** the release that it can be advanced to; null for a real database, which advances by itself */
  nextRelease: string | null;
  about: DatabaseAbout | null;
  /** how much it may be asked; null for one that people ask by hand */
  budget: CallBudget | null;
  /** it says of its counts that they are no exact ones */
  estimates?: true;
}

/** How much a database may be asked. */
export interface CallBudget {
  /** calls under way at the same moment */
  atOnce: number;
  /** calls begun within any second; null for no bound */
  perSecond: number | null;
}

/** What somebody did to a database. */
export interface DatabaseEvent {
  what: 'moved' | 'explored' | 'added' | 'changed' | 'taken away' | 'brought back' | 'budget';
  /** such as the release it was moved to */
  detail: string;
  at: string;
  person: string;
}

/** All databases that are known. */
export interface DatabaseList {
  databases: DatabaseProfile[];
  /** those that have never answered, by the names that they were last known by; whether a person added them */
  failed: { id: string; name: string; reason: string; added: boolean }[];
  /** the ids of all, those that ship with the program first */
  order: string[];
}

/** How what a strategy finds in one database is found in the others too. */
export interface Overlap {
  databases: Record<
    string,
    {
      /** works, each once; null where they cannot be compared */
      works: number | null;
      /** of them, found in another database too */
      elsewhere: number | null;
      /** of them, how many each of the other databases has too, by its id; those that cannot be compared are left out */
      withEach: Record<string, number>;
      /** why they cannot be compared */
      reason: string | null;
      /** whether its answer was not waited for any longer; it still comes, so that asking again tells more */
      late: boolean;
    }
  >;
}

/** A work that one database finds and another does not. */
export interface WorkApart {
  accession: string;
  title: string;
  journal: string;
  year: number;
}

/** What two databases find of a strategy, work by work. */
export interface DatabasesApart {
  /** works that both find; null where they cannot be compared */
  both: number | null;
  /** of each of the two, in the order asked for */
  sides: { database: string; only: number | null; sample: WorkApart[] }[];
  /** why they cannot be compared */
  reason: string | null;
}

/** What a database says of itself to those who have to choose. */
export interface DatabaseAbout {
  covers: string;
  goodFor: string;
  weakFor: string;
  firstYear: number | null;
  lastYear: number | null;
  /** by type of question, how well it suits, and why */
  suits: Record<string, Suitability>;
}

/** A count as a database gave it, or why it could not. */
export interface Counted {
  hits: number | null;
  error: string | null;
}

export interface TermCount extends Counted {
  /** what only this term finds in its lane */
  adds: number | null;
}

/** One line of a strategy, as people read it. */
export interface ShownLine {
  number: number;
  kind: LineKind;
  laneId: string | null;
  termId: string | null;
  limitId: string | null;
  ownId: string | null;
  description: string;
  /** what is searched otherwise than the term says, since this database has other headings or cannot say it */
  changes: string[];
}

export interface RehearsedLine extends ShownLine, Counted {
  /** the query that was counted, in CQL */
  string: string;
}

/** What a lane finds, and how its headings and its words share in it. Null where it cannot be counted. */
export interface LaneCounts extends Counted {
  headingsOnly: number | null;
  both: number | null;
  wordsOnly: number | null;
  /** of those found by words only, how many have no headings yet; null where the database cannot tell */
  awaitingHeadings: number | null;
}

/** The lanes up to one, joined with AND. */
export interface Bridge extends Counted {
  afterLaneId: string;
}

export interface Rehearsal {
  database: string;
  databaseName: string;
  release: string;
  countedAt: string;
  lines: RehearsedLine[];
  terms: Record<string, TermCount>;
  lanes: Record<string, LaneCounts>;
  bridges: Bridge[];
  /** by lane, what all the other lanes find together; null where there is no other */
  without: Record<string, Counted | null>;
  /** by element, what is found without any of its lanes; null where there is no other */
  withoutElements: Record<string, Counted | null>;
  /** all concepts together, before any limit */
  whole: Counted;
  /** what the strategy finds: what its limits leave of that */
  remains: Counted;
  problems: StrategyProblem[];
  /** counts that are not there yet, since the database is slow or may be asked only so much; they are null */
  uncounted: number;
}

/** What a strategy finds in one database, without what its lines do. */
export type StrategyTotal = Pick<Rehearsal, 'database' | 'release' | 'whole' | 'remains' | 'problems'>;

/** A word of the database's index. */
export interface IndexWord {
  word: string;
  /** records that hold it */
  hits: number;
}

export interface IndexWords {
  words: IndexWord[];
  /** whether there are more that begin so */
  more: boolean;
}

export interface ValueCount {
  value: string;
  count: number;
}

/** What the records that hold all words of a text are like, or all records for no text. Each list is empty where the database does not count it. */
export interface Overview {
  text: string;
  hits: number;
  release: string;
  /** in order of years */
  years: ValueCount[];
  /** kinds of publication and design */
  kinds: ValueCount[];
  headings: ValueCount[];
  /** the authors’ own keywords */
  keywords: ValueCount[];
}

export interface Sample extends Counted {
  records: BibRecord[];
}
