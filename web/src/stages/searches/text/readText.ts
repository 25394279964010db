/** Reading what is typed, as the database will read it. */
import {
  childrenOf,
  databaseContext,
  dialectFrom,
  headingByLabel,
  headingCalled,
  parseLine,
  type Dialect,
  type DialectContext,
  type Query,
  type VocabularyTree,
} from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';

export interface Finding {
  from: number;
  to: number;
  severity: 'wrong' | 'caution';
  message: string;
}

export interface TextReading {
  /** null where it cannot be read */
  query: Query | null;
  findings: Finding[];
}

/** What reading needs of a database: its dialect (null for CQL) and what it knows. */
export interface Reader {
  dialect: Dialect | null;
  context: DialectContext;
  tree: VocabularyTree | null;
  language: 'own' | 'cql';
}

/** @param tree the database's vocabulary, as far as it has come */
export function readerFor(
  { dialect, vocabulary, limits, reached }: DatabaseProfile,
  tree: VocabularyTree | null,
  language: 'own' | 'cql',
): Reader {
  return {
    dialect: dialect === null ? null : dialectFrom(dialect),
    context: databaseContext({
      vocabulary: vocabulary?.id ?? null,
      limitFields: Object.keys(limits),
      tree,
      joinsHeadings: reached === 'shipped',
    }),
    tree,
    language,
  };
}

export function readText(text: string, { dialect, context, tree, language }: Reader): TextReading {
  const read = parseLine({ language, text }, dialect, context);
  if (!read.ok) {
    const { at, message } = read.error;
    return { query: null, findings: [{ from: at, to: at + 1, severity: 'wrong', message }] };
  }
  return {
    query: read.query,
    findings: [
      ...read.cautions.map(({ at, message }): Finding => ({
        from: at,
        to: at + 1,
        severity: 'caution',
        message,
      })),
      ...unknownHeadings(read.query, text, tree),
    ],
  };
}

/** Headings that the vocabulary does not have: the database would refuse them or find nothing. */
function unknownHeadings(query: Query, text: string, tree: VocabularyTree | null): Finding[] {
  if (tree === null) return [];
  const labels = new Set(headingsOf(query, tree.vocabulary.id));
  return [...labels]
    .filter((label) => headingByLabel(tree, label) === null)
    .map((label) => {
      const from = Math.max(text.toLowerCase().indexOf(label.toLowerCase()), 0);
      const called = headingCalled(tree, label);
      const instead = called === null ? '' : ` It calls this “${called.label}”.`;
      return {
        from,
        to: from + label.length,
        severity: 'caution',
        message: `There is no heading “${label}” in the ${tree.vocabulary.name}.${instead}`,
      };
    });
}

function headingsOf(query: Query, vocabulary: string): string[] {
  if (query.kind === 'heading') return query.vocabulary === vocabulary ? [query.label] : [];
  return childrenOf(query).flatMap((each) => headingsOf(each, vocabulary));
}
