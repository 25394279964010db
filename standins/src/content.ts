/** Reads the authored content: the tree of headings and the topics of the invented records. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Heading, Suitability, Vocabulary } from '@even-lantern/core';
import type { Design } from './designs.js';

export interface Outcome {
  names: string[];
  instrument: string;
  unit: string;
  mean: number;
  sd: number;
  better: 'lower' | 'higher';
  lowest: number;
  highest: number;
  headings: string[];
}

export interface Topic {
  id: string;
  crossover: boolean;
  people: string[];
  peopleHeadings: string[];
  /** who answers interviews and questionnaires */
  informants: string[];
  interventions: string[];
  details: string[];
  comparisons: string[];
  interventionHeadings: string[];
  outcomes: Outcome[];
  subjects: string[];
  places: string[];
  keywords: string[];
}

export interface PeopleAndPlaces {
  families: string[];
  given: string[];
  /** with what their articles are about; none for one that takes anything */
  journals: { name: string; about: string[] }[];
  places: string[];
  languages: [name: string, share: number][];
  fits: Fit[];
}

/** Which places go with which people; expressions that ignore case. */
export type Fit = { people: string; onlyIn: string } | { place: string; onlyFor: string };

/** How a database is made and describes itself. */
export interface DatabaseRecipe {
  id: string;
  name: string;
  description: string;
  about: About;
  /** ISO dates of its releases, in order */
  releases: string[];
  /** the release it is in until it is advanced */
  present: string;
  /** the id of its vocabulary; null when it has none */
  vocabulary: string | null;
  /** what its own numbers of records begin with */
  accession: string;
  /** records in the present release */
  size: number;
  seed: number;
  /** the year of its first records, but for early ones */
  firstYear: number;
  early?: { size: number; from: number; to: number };
  /** the share of records, the newest, that indexers have not reached yet; and whether those records say so */
  awaiting: number;
  tellsAwaiting: boolean;
  /** designs and kinds of its own records, by how often they come; without it, those of journals */
  designs?: Partial<Record<Design, number>>;
  /** the publication types of each design, with `otherwise` for the rest; without it, the design's own name */
  types?: Record<string, string[]>;
  /** where works of some designs come out, instead of in journals: they have no pages */
  journals?: Record<string, string>;
  /** names of rules in `limits.json` */
  limits: string[];
  /** whether records tell what they cite */
  citations?: boolean;
  /** how works of the first database are told here; without it, none are taken over */
  shared?: SharedWorks;
}

/** What a database says of itself, for people who have to choose. */
export interface About {
  covers: string;
  goodFor: string;
  weakFor: string;
  /** how well it suits each type of question, and why */
  suits: Record<string, Suitability>;
}

/** What becomes of a work's description in another database. */
export interface SharedWorks {
  /** works are taken from all databases before this one, not only from the first */
  from?: 'all';
  /** of the works that are about what this one covers */
  share: number;
  /** only works of these designs, each told as another */
  only?: Partial<Record<Design, Design>>;
  /** at most so many */
  most?: number;
  /** given names cut to initials */
  initials: boolean;
  /** the last page without the digits it has in common with the first */
  shortPages: boolean;
  /** shares of records without DOI, and with titles in capitals */
  withoutDoi: number;
  capitalTitles: number;
  /** shares of works that are here as a preprint, a conference abstract or with an erratum as well */
  preprints?: number;
  conferenceAbstracts?: number;
  errata?: number;
}

/** How the values of a limit follow from what a record tells. */
export interface LimitRule {
  /** records that have any value at all; the rest have none */
  share?: number;
  /** looks at the journal's name rather than at title and abstract */
  byJournal?: boolean;
  /** begins with the values of another limit */
  also?: string;
  /** every rule that holds adds its values */
  rules: { values: string[]; words?: string[]; designs?: string[]; share?: number }[];
  /** the values where no rule holds */
  otherwise: string[];
}

/** What becomes of a vocabulary with a release. */
export type VocabularyChange =
  | {
      release: string;
      added: string;
      /** records indexed from then on with this heading get the new one too */
      with?: string;
    }
  | { release: string; renamed: { from: string; to: string } };

/** Content that cannot be read, with the line where it is wrong. */
export class ContentError extends Error {}

/** A vocabulary as it was written, with what only the makers of records know of it. */
export interface AuthoredVocabulary extends Vocabulary {
  /** by label, the headings of the Corvane Subject Tree that stand for the same matter */
  counterparts: ReadonlyMap<string, readonly string[]>;
  changes: readonly VocabularyChange[];
}

/** Reads the vocabularies that `vocabularies.json` lists; each is written in a file named after its id. */
export function readVocabularies(folder: string): AuthoredVocabulary[] {
  const listed = JSON.parse(readFileSync(join(folder, 'vocabularies.json'), 'utf8')) as (Omit<
    Vocabulary,
    'headings'
  > & { changes?: VocabularyChange[] })[];
  return listed.map((each) => {
    const file = `${each.id}.txt`;
    try {
      return { ...each, changes: each.changes ?? [], ...parseTree(readFileSync(join(folder, file), 'utf8')) };
    } catch (error) {
      if (error instanceof ContentError) throw new ContentError(`${file}, ${error.message}`);
      throw error;
    }
  });
}

export function readDatabases(folder: string): DatabaseRecipe[] {
  return JSON.parse(readFileSync(join(folder, 'databases.json'), 'utf8')) as DatabaseRecipe[];
}

export function readLimitRules(folder: string): Record<string, LimitRule> {
  return JSON.parse(readFileSync(join(folder, 'limits.json'), 'utf8')) as Record<string, LimitRule>;
}

export function readTopics(folder: string): Topic[] {
  return parseTopics(readFileSync(join(folder, 'topics.txt'), 'utf8'));
}

export function readPeopleAndPlaces(folder: string): PeopleAndPlaces {
  return JSON.parse(readFileSync(join(folder, 'people-and-places.json'), 'utf8')) as PeopleAndPlaces;
}

const list = (text: string) =>
  text
    .split(';')
    .map((part) => part.trim())
    .filter((part) => part !== '');

/** Parses the indented form that the head of the file describes. */
export function parseTree(text: string): Pick<AuthoredVocabulary, 'headings' | 'counterparts'> {
  const groups = new Map<string, string[]>();
  const headings: Heading[] = [];
  const counterparts = new Map<string, string[]>();
  const open: { heading: Heading; group: string }[] = [];
  /** by label, for branches that are written further down */
  const placed = new Map<string, { heading: Heading; group: string }>();
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '' || line.startsWith('#')) continue;
    if (line.startsWith('@')) {
      const [name = '', subheadings = ''] = line.slice(1).split(':');
      groups.set(name.trim(), list(subheadings));
      continue;
    }
    if (line.startsWith('>>')) {
      const label = line.slice(2).trim();
      const above = placed.get(label);
      if (above === undefined)
        throw new ContentError(`line ${i + 1}: there is no “${label}” above to go on from`);
      open.splice(0, open.length, above);
      continue;
    }
    const depth = (line.length - line.trimStart().length) / 2;
    const [label = '', ...parts] = line.split('|').map((part) => part.trim());
    if (!Number.isInteger(depth) || depth > open.length) {
      throw new ContentError(`line ${i + 1}: “${label}” is indented too far`);
    }
    open.length = depth;
    const above = open.at(-1);
    let group = above?.group ?? '';
    const heading: Heading = {
      label,
      entryTerms: [],
      scopeNote: '',
      broader: above === undefined ? [] : [above.heading.label],
      related: [],
      historyNote: null,
      subheadings: [],
    };
    for (const part of parts) {
      const value = part.slice(1).trim();
      if (part.startsWith('=')) heading.entryTerms = list(value);
      else if (part.startsWith('!')) heading.scopeNote = value;
      else if (part.startsWith('+')) heading.broader.push(...list(value));
      else if (part.startsWith('~')) heading.related = list(value);
      else if (part.startsWith('%')) heading.historyNote = value;
      else if (part.startsWith('@')) group = value;
      else if (part.startsWith('^')) counterparts.set(label, list(value));
      else throw new ContentError(`line ${i + 1}: “${part}” begins with no known mark`);
    }
    heading.subheadings = groups.get(group) ?? [];
    headings.push(heading);
    open.push({ heading, group });
    placed.set(label, { heading, group });
  }
  makeRelatedMutual(headings);
  return { headings, counterparts };
}

/** `related` holds both ways (ISO 25964), so writing it on one side is enough. */
function makeRelatedMutual(headings: readonly Heading[]): void {
  const byLabel = new Map(headings.map((heading) => [heading.label, heading]));
  for (const heading of headings) {
    for (const label of heading.related) {
      const other = byLabel.get(label);
      if (other !== undefined && !other.related.includes(heading.label)) other.related.push(heading.label);
    }
  }
}

export function parseTopics(text: string): Topic[] {
  return text
    .split(/\n\s*\n/)
    .map((block) => block.split('\n').filter((line) => line !== '' && !line.startsWith('#')))
    .filter((lines) => lines.length > 0)
    .map(parseTopic);
}

function parseTopic(lines: readonly string[]): Topic {
  const values = (mark: string) =>
    lines.filter((line) => line.startsWith(`${mark} `)).map((line) => line.slice(mark.length + 1));
  const one = (mark: string) => values(mark)[0] ?? '';
  return {
    id: one('topic'),
    crossover: values('X').length > 0,
    people: list(one('P')),
    peopleHeadings: list(one('PH')),
    informants: list(one('Q') || one('P')),
    interventions: list(one('I')),
    details: list(one('D')),
    comparisons: list(one('C')),
    interventionHeadings: list(one('IH')),
    outcomes: values('O').map(parseOutcome),
    subjects: list(one('A')),
    places: list(one('S')),
    keywords: list(one('K')),
  };
}

function parseOutcome(line: string): Outcome {
  const [names = '', instrument = '', unit = '', spread = '', better = '', range = '', headings = ''] = line
    .split('|')
    .map((part) => part.trim());
  const [mean = NaN, sd = NaN] = spread.split(' ').map(Number);
  const [lowest = NaN, highest = NaN] = range.split(' ').map(Number);
  if ([mean, sd, lowest, highest].some(Number.isNaN) || (better !== 'lower' && better !== 'higher')) {
    throw new ContentError(`this outcome is not complete: ${line}`);
  }
  return {
    names: list(names),
    instrument,
    unit,
    mean,
    sd,
    better,
    lowest,
    highest,
    headings: list(headings),
  };
}
