/** Ranked proposals: which headings of another vocabulary may stand for one. */
import { directlyBelow, headingByLabel } from '../vocabulary/index.js';
import type { Heading, VocabularyTree } from '../vocabulary/index.js';
import { correspondences, type Correspondence, type CrosswalkIndex } from './correspondence.js';
import type { Settlement } from './model.js';

export type ProposalReason =
  | { kind: 'same label' }
  /** the label of one is an entry term of the other */
  | { kind: 'label among entry terms'; term: string }
  | { kind: 'shared entry terms'; terms: string[] }
  /** no name is the same, but one holds much of the label */
  | { kind: 'words in common'; words: string[] }
  /** headings beside this one correspond to headings beside that one */
  | { kind: 'neighbours correspond'; pairs: [own: string, other: string][] }
  | { kind: 'confirmed the other way round' }
  /** it stands for a heading above this one, so it is wider */
  | { kind: 'stands for a broader heading'; label: string };

export interface Proposal {
  heading: Heading;
  /** from 0 to 1 */
  strength: number;
  /** the weightiest first */
  reasons: ProposalReason[];
}

/** Below this, nothing fits. */
const LEAST_STRENGTH = 0.32;
const LEAST_OF_BEST = 0.35;
/** When nothing is as sure as this, what stands for a heading above is proposed too. */
const SURE = 0.6;
/** What all neighbours together can be worth, and how many of them must correspond for that. */
const NEIGHBOURS_WORTH = 0.35;
const NEIGHBOURS_ENOUGH = 2;
/** A neighbour corresponds only when this sure. */
const LEAST_OF_NEIGHBOUR = 0.5;
const REVERSE_WORTH = 0.9;
/** Of what stands for a heading above, so much is left for one below it. */
const WIDER_SHARE = 0.6;
const MOST_NEIGHBOURS = 40;

/**
 * The headings of another vocabulary that may stand for one, the surest first; none where nothing fits.
 *
 * @param settled what people have settled: confirmed pairs beside this one make a proposal surer, and refused ones
 * are not proposed
 * @param limit the most proposals
 */
export function proposeCounterparts(
  own: CrosswalkIndex,
  heading: Heading,
  other: CrosswalkIndex,
  settled: readonly Settlement[] = [],
  limit = 4,
): Proposal[] {
  const pairs = settledPairs(own.tree, other.tree, settled);
  const stands = memoised((each: Heading) => correspondences(own, each, other));
  const closest = stands(heading).map((found): Proposal => {
    const neighbours = correspondingNeighbours(own.tree, heading, other.tree, found.heading, stands, pairs);
    const worth = Math.min(neighbours.reduce((sum, each) => sum + each.strength, 0) / NEIGHBOURS_ENOUGH, 1);
    const reverse = pairs.reverse.has(pairKey(heading.label, found.heading.label));
    const doubt = (1 - found.strength) * (1 - NEIGHBOURS_WORTH * worth) * (reverse ? 1 - REVERSE_WORTH : 1);
    return { heading: found.heading, strength: 1 - doubt, reasons: reasonsOf(found, neighbours, reverse) };
  });
  const sure = closest.some(({ strength }) => strength >= SURE);
  if (sure) return best(closest, pairs.refused, heading, limit);
  const wider = heading.broader.flatMap((label): Proposal[] => {
    const above = headingByLabel(own.tree, label);
    const [found] = above === null ? [] : stands(above);
    if (above === null || found === undefined) return [];
    const reason: ProposalReason = { kind: 'stands for a broader heading', label: above.label };
    return [{ heading: found.heading, strength: found.strength * WIDER_SHARE, reasons: [reason] }];
  });
  return best([...closest, ...wider], pairs.refused, heading, limit);
}

function best(
  proposals: readonly Proposal[],
  refused: ReadonlySet<string>,
  { label }: Heading,
  limit: number,
): Proposal[] {
  const once = new Map<Heading, Proposal>();
  for (const each of proposals) {
    if (refused.has(pairKey(label, each.heading.label))) continue;
    const known = once.get(each.heading);
    if (known === undefined || known.strength < each.strength) once.set(each.heading, each);
  }
  const ranked = [...once.values()].sort(
    (a, b) => b.strength - a.strength || a.heading.label.localeCompare(b.heading.label, 'en'),
  );
  const least = Math.max(LEAST_STRENGTH, (ranked[0]?.strength ?? 0) * LEAST_OF_BEST);
  return ranked.filter(({ strength }) => strength >= least).slice(0, limit);
}

interface Neighbours {
  own: string;
  other: string;
  strength: number;
}

/** Pairs of headings directly above, below or related, that correspond to each other. */
function correspondingNeighbours(
  ownTree: VocabularyTree,
  heading: Heading,
  otherTree: VocabularyTree,
  found: Heading,
  stands: (heading: Heading) => readonly Correspondence[],
  pairs: SettledPairs,
): Neighbours[] {
  const others = new Set(neighboursOf(otherTree, found));
  return neighboursOf(ownTree, heading)
    .flatMap((mine): Neighbours[] => {
      const confirmed = [...others].find((each) => pairs.confirmed.has(pairKey(mine.label, each.label)));
      if (confirmed !== undefined) return [{ own: mine.label, other: confirmed.label, strength: 1 }];
      const like = stands(mine).find(
        (each) => each.heading !== found && each.strength >= LEAST_OF_NEIGHBOUR && others.has(each.heading),
      );
      return like === undefined
        ? []
        : [{ own: mine.label, other: like.heading.label, strength: like.strength }];
    })
    .sort((a, b) => b.strength - a.strength);
}

function neighboursOf(tree: VocabularyTree, heading: Heading): Heading[] {
  const named = [...heading.broader, ...heading.related].flatMap(
    (label) => headingByLabel(tree, label) ?? [],
  );
  return [...new Set([...named, ...directlyBelow(tree, heading)])].slice(0, MOST_NEIGHBOURS);
}

function reasonsOf(
  { names, words }: Correspondence,
  neighbours: readonly Neighbours[],
  reverse: boolean,
): ProposalReason[] {
  const reasons: ProposalReason[] = [];
  if (reverse) reasons.push({ kind: 'confirmed the other way round' });
  if (names.some((each) => each.ownIsLabel && each.otherIsLabel)) reasons.push({ kind: 'same label' });
  for (const { own, other, ownIsLabel, otherIsLabel } of names) {
    if (ownIsLabel !== otherIsLabel) {
      reasons.push({ kind: 'label among entry terms', term: ownIsLabel ? other : own });
    }
  }
  const terms = names.filter((each) => !each.ownIsLabel && !each.otherIsLabel).map(({ other }) => other);
  if (terms.length > 0) reasons.push({ kind: 'shared entry terms', terms });
  if (words.length > 0) reasons.push({ kind: 'words in common', words });
  if (neighbours.length > 0) {
    reasons.push({ kind: 'neighbours correspond', pairs: neighbours.map(({ own, other }) => [own, other]) });
  }
  return reasons;
}

interface SettledPairs {
  confirmed: ReadonlySet<string>;
  refused: ReadonlySet<string>;
  /** confirmed from the other vocabulary to this one */
  reverse: ReadonlySet<string>;
}

function settledPairs(
  own: VocabularyTree,
  other: VocabularyTree,
  settled: readonly Settlement[],
): SettledPairs {
  const ownId = own.vocabulary.id;
  const otherId = other.vocabulary.id;
  const pairs = (sought: Settlement['verdict']) =>
    new Set(
      settled
        .filter(
          ({ verdict, vocabulary, target }) =>
            verdict === sought && vocabulary === ownId && target === otherId,
        )
        .map(({ label, targetLabel }) => pairKey(label, targetLabel ?? '')),
    );
  const reverse = new Set(
    settled
      .filter(
        ({ verdict, vocabulary, target }) =>
          verdict === 'confirmed' && vocabulary === otherId && target === ownId,
      )
      .map(({ label, targetLabel }) => pairKey(targetLabel ?? '', label)),
  );
  return { confirmed: new Set([...pairs('confirmed'), ...reverse]), refused: pairs('refused'), reverse };
}

function pairKey(own: string, other: string): string {
  return `${own}\n${other}`;
}

function memoised<Key extends object, Value>(make: (key: Key) => Value): (key: Key) => Value {
  const known = new Map<Key, Value>();
  return (key) => {
    let value = known.get(key);
    if (value === undefined) known.set(key, (value = make(key)));
    return value;
  };
}
