import type { Heading, LookupReason } from '@even-lantern/core';

export interface DatabaseProfile {
  id: string;
  name: string;
  description: string;
  release: string;
  simulated: boolean;
  records: number | null;
  vocabulary: { id: string; name: string } | null;
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

export interface RehearsedLine extends Counted {
  number: number;
  kind: 'term' | 'lane' | 'whole';
  laneId: string | null;
  termId: string | null;
  description: string;
  /** exactly what is sent to the database */
  string: string;
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
  lanes: Record<string, Counted>;
  bridges: Bridge[];
  whole: Counted;
  problems: { laneId: string | null; termId: string | null; message: string }[];
}

export interface LookupHeading {
  heading: Heading;
  reason: LookupReason;
  matched: string;
  /** with narrower */
  count: TermCount;
  paths: string[][];
}

/** What a typed word leads to: headings, and the word itself. */
export interface LookupAnswer {
  text: string;
  headings: LookupHeading[];
  words: TermCount;
}

export interface HeadingDetail {
  heading: Heading;
  paths: string[][];
  narrower: string[];
  alone: Counted;
  withNarrower: Counted;
  central: Counted;
}
