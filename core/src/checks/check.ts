/** What a check is. Each is one file in `kinds`, and one line in its index; nothing else has to know of it. */
import type { LimitWay } from '../limits/index.js';
import type { SearchField } from '../query/index.js';
import type { Lane, LineKey, LineKind, OwnLine, StrategyProblem } from '../strategy/index.js';
import type { VocabularyTree } from '../vocabulary/index.js';
import type { Mend } from './mends.js';

export interface Check {
  id: string;
  /** in sentence case, such as “One spelling” */
  name: string;
  /** why it matters, and when to let it stand, in a sentence or two */
  about: string;
  find: (strategy: CheckedStrategy) => Finding[];
}

/** What is wrong at one place of a strategy, or may be. */
export interface Finding {
  /** the id of the check */
  check: string;
  /** the line at which it is shown; for a lane or term that is no line, the key that it would have */
  at: LineKey;
  /** tells findings of one check at one place apart; the same as long as the same is wrong */
  detail: string;
  /** what is wrong, in sentences */
  message: string;
  /** a warning costs records for sure or makes the strategy mean something else; a hint may be as it is meant */
  weight: 'warning' | 'hint';
  /** ways to mend it, the likeliest first */
  mends: readonly NamedMend[];
  /** it is worth telling only where a mend changes what is found */
  ifItMatters?: true;
}

export interface NamedMend {
  /** what a button says, such as “Add “nurses””  */
  text: string;
  mend: Mend;
}

/** A line as one database has it. */
export interface CheckedLine {
  key: LineKey;
  number: number;
  kind: LineKind;
  laneId: string | null;
  /** null while it is not counted */
  hits: number | null;
  /** what only this term brings to its lane; null for other lines */
  adds: number | null;
  /** what somebody wrote in its place for this database */
  written: string | null;
  /** what other databases would read otherwise in it */
  cautions: readonly string[];
  /** what the database says it searched, and what was meant; null where it does not say */
  understood: string | null;
  expected: string;
}

/** A limit as the database applies it. */
export interface CheckedLimit {
  id: string;
  key: LineKey;
  name: string;
  on: boolean;
  way: LimitWay;
  ways: readonly LimitWay[];
  /** of what it loses, how many merely lack the data; null where not known */
  lacking: number | null;
}

/** The strategy of a review and how one database has it, as far as it is known. */
export interface CheckedStrategy {
  lanes: readonly Lane[];
  own: readonly OwnLine[];
  lines: readonly CheckedLine[];
  problems: readonly StrategyProblem[];
  limits: readonly CheckedLimit[];
  database: {
    id: string;
    name: string;
    /** the id of its vocabulary; null where it has none */
    vocabulary: string | null;
    fields: readonly SearchField[];
  };
  /** null where a vocabulary is not known */
  vocabulary: (id: string) => VocabularyTree | null;
  /** for the beginnings of words that find nothing, what the index has that begins so */
  indexWords: ReadonlyMap<string, readonly { word: string; hits: number }[]>;
  /** by the key of what is left out, what it throws away */
  leftOut: Readonly<Record<LineKey, { records: number | null; kept: number | null }>>;
  /** the same strategy in the other databases that are searched */
  elsewhere: readonly { name: string; whole: number | null; records: number | null; open: number }[];
  /** what the whole finds here, and how many records the database has; null where not known */
  whole: number | null;
  records: number | null;
}

/** Names a finding, so that it can be accepted and be known again. */
export function findingKey({ check, at, detail }: Pick<Finding, 'check' | 'at' | 'detail'>): string {
  return [check, at, detail].join('\n');
}
