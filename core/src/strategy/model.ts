import type { Query } from '../query/index.js';
import type { TermField } from './termFields.js';

/**
 * Where a term came from: what somebody typed, a heading looked up, a record that was read, words proposed beside
 * another term, or a list that was pasted.
 */
export const TERM_ORIGINS = ['typed', 'lookup', 'record', 'proposed', 'pasted'] as const;
export type TermOrigin = (typeof TERM_ORIGINS)[number];

/** What a term searches for. */
export type TermContent =
  | {
      kind: 'heading';
      vocabulary: string;
      label: string;
      /** true for all that lies below, false for none, or the labels of those below that are searched too */
      narrower: boolean | string[];
      central: boolean;
      subheadings: string[];
    }
  | {
      kind: 'words';
      /** as typed, with masks and quotation marks */
      text: string;
      field: TermField;
      /** null for a phrase; otherwise the words may stand this many words apart, in any order */
      near: number | null;
    };

export interface Term {
  id: string;
  content: TermContent;
  origin: TermOrigin;
  /** why the term is kept without being searched; null for one that is searched */
  heldBack: string | null;
}

/** The terms of one concept, joined with OR. */
export interface Lane {
  id: string;
  name: string;
  /** what it finds is left out of the whole, not asked for */
  leftOut: boolean;
  terms: Term[];
}

/**
 * What a line is: a term, a lane, one of a person’s own, the whole that they give together, or a limit on what the line
 * before it finds. What a strategy finds is its last limit, or the whole where there is none (`foundLine`); behind it
 * stand only own lines that look.
 */
export const LINE_KINDS = ['term', 'lane', 'own', 'whole', 'limit'] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** One numbered step of a strategy. */
export interface Line {
  /** 1 and up; written L1, L2, … */
  number: number;
  kind: LineKind;
  laneId: string | null;
  termId: string | null;
  limitId: string | null;
  /** the line of a person’s own that it is */
  ownId: string | null;
  /** may refer to earlier lines */
  query: Query;
  /** what is searched otherwise than the term says, since the database at hand has other headings */
  changes: string[];
  /** for a limit, what it is in words */
  text: string | null;
  /** somebody wrote it by hand for the database */
  edited: boolean;
  /** the text as it was written, where just that can be sent */
  written: string | null;
}

/** A limit as a database applies it, to become a line. */
export interface LimitPart {
  limitId: string;
  /** in words, such as “Years of publication 2005 to 2026 (own limit)” */
  text: string;
  /** what it restricts to, by itself */
  query: Query;
  /** what the database is told otherwise */
  changes: string[];
}

/** Something that keeps a term or lane from being searched, and how to mend it. */
export interface StrategyProblem {
  laneId: string | null;
  termId: string | null;
  /** the line, where what somebody wrote for it is to mend */
  line?: string;
  /** it is a line that only looks, so that the strategy can be run all the same */
  aside?: true;
  /** the number of the line that `message` is about, which `nameLines` puts before it; lines get other numbers on the way */
  number?: number;
  message: string;
}

export interface Strategy {
  lines: Line[];
  problems: StrategyProblem[];
}
