/** How headings of one vocabulary are said in a database that has another. */
import { parsePhrase, type HeadingQuery, type Query } from '../query/index.js';
import type { TermResolver } from '../strategy/index.js';
import { unknownSubheading } from '../search/index.js';
import { counted } from '../text/index.js';
import { allNarrower, headingByLabel, type Heading, type VocabularyTree } from '../vocabulary/index.js';
import type { Settlement } from './model.js';

/** What a heading has been settled to be in another vocabulary. */
export type Settled = { kind: 'open' } | { kind: 'headings'; labels: string[] } | { kind: 'words' };

/** Confirmed headings go before words, which somebody may have chosen earlier. */
export function settledAs(
  settlements: readonly Settlement[],
  vocabulary: string,
  label: string,
  target: string,
): Settled {
  const own = settlements.filter(
    (each) => each.vocabulary === vocabulary && each.label === label && each.target === target,
  );
  const labels = own.flatMap(({ verdict, targetLabel }) =>
    verdict === 'confirmed' && targetLabel !== null ? [targetLabel] : [],
  );
  if (labels.length > 0) return { kind: 'headings', labels };
  return own.some(({ verdict }) => verdict === 'words') ? { kind: 'words' } : { kind: 'open' };
}

/** The words that stand in for a heading where no other heading does: its label and entry terms. */
export function wordsFor(heading: Heading): string[] {
  return [...new Set([heading.label.toLowerCase(), ...heading.entryTerms])];
}

/**
 * How a database with the target vocabulary reads headings: its own as they are, others as they were settled. What
 * nobody has settled is not guessed but told as a problem. A database without headings gets their names as words.
 *
 * @param target the database's vocabulary, or null when it has none
 * @param treeOf other vocabularies by id; null for one that is not known
 */
export function resolverIn(
  target: VocabularyTree | null,
  settlements: readonly Settlement[],
  treeOf: (vocabulary: string) => VocabularyTree | null,
): TermResolver {
  return (query) => {
    if (query.kind !== 'heading') return { ok: true, query, changes: [] };
    if (query.vocabulary === target?.vocabulary.id) return ofItsOwn(query, target);
    const own = treeOf(query.vocabulary);
    const place = own?.vocabulary.name ?? query.vocabulary;
    if (target === null) {
      const heading = own === null ? null : headingByLabel(own, query.label);
      const names = heading === null ? [query.label] : wordsFor(heading);
      return asWords(
        names,
        query,
        below(own, query),
        'searched as words, since this database has no headings',
      );
    }
    const { id, name } = target.vocabulary;
    const settled = settledAs(settlements, query.vocabulary, query.label, id);
    switch (settled.kind) {
      case 'open':
        return {
          ok: false,
          message: `“${query.label}” of the ${place} is not settled in the ${name}: confirm a heading there, or words instead.`,
        };
      case 'headings':
        return asHeadings(query, settled.labels, target);
      case 'words': {
        const heading = own === null ? null : headingByLabel(own, query.label);
        const names = heading === null ? [query.label] : wordsFor(heading);
        return asWords(names, query, below(own, query), 'searched as words');
      }
    }
  };
}

/** A heading of the database at hand; one of its subheadings that it cannot have is told before anything is asked. */
function ofItsOwn(query: HeadingQuery, target: VocabularyTree): ReturnType<TermResolver> {
  const heading = headingByLabel(target, query.label);
  if (heading !== null && query.subheadings.length > 0) {
    const searched = [heading, ...(query.narrower ? (allNarrower(target, query.label) ?? []) : [])];
    const known = [...new Set(searched.flatMap(({ subheadings }) => subheadings))];
    const unknown = query.subheadings.find((each) => !known.includes(each));
    if (unknown !== undefined) return { ok: false, message: unknownSubheading(query.label, unknown, known) };
  }
  return { ok: true, query, changes: [] };
}

function asHeadings(query: HeadingQuery, labels: readonly string[], target: VocabularyTree) {
  const dropped = new Set<string>();
  const operands = labels.map((label): Query => {
    const allowed = headingByLabel(target, label)?.subheadings ?? [];
    const subheadings = query.subheadings.filter((each) => allowed.includes(each));
    for (const each of query.subheadings) if (!allowed.includes(each)) dropped.add(each);
    return { ...query, vocabulary: target.vocabulary.id, label, subheadings };
  });
  const changes =
    dropped.size === 0
      ? []
      : [
          `the ${target.vocabulary.name} has no subheading ${[...dropped].join(', ')} here, so it is left out`,
        ];
  const [only] = operands;
  const whole: Query = operands.length === 1 && only !== undefined ? only : { kind: 'or', operands };
  return { ok: true as const, query: whole, changes };
}

/** How many headings a query searches beside its own. */
function below(tree: VocabularyTree | null, { label, narrower }: HeadingQuery): number {
  return narrower && tree !== null ? (allNarrower(tree, label)?.length ?? 0) : 0;
}

/** @param narrower how many headings below it are left out, since their names are not its own */
function asWords(
  names: readonly string[],
  { central, subheadings }: HeadingQuery,
  narrower: number,
  change: string,
) {
  const operands = names.flatMap((name): Query[] => {
    const parsed = parsePhrase(name);
    return parsed.ok ? [{ kind: 'words', field: 'words', phrase: parsed.phrase }] : [];
  });
  const lost = [
    ...(narrower > 0
      ? [narrower === 1 ? 'the heading below it' : `the ${counted(narrower, 'heading')} below it`]
      : []),
    ...(central ? ['that it is central'] : []),
    ...(subheadings.length > 0 ? [`the subheading ${subheadings.join(', ')}`] : []),
  ];
  const changes = [
    change,
    ...(lost.length > 0 ? [`words cannot say ${new Intl.ListFormat('en-GB').format(lost)}`] : []),
  ];
  return { ok: true as const, query: { kind: 'or', operands } as Query, changes };
}
