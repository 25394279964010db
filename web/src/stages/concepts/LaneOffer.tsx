import type { ProposedConcept } from '@even-lantern/core';
import type { TermCount } from '@even-lantern/contract';
import type { PlacedHit } from '../../review/useLookup.js';
import { useVocabularies } from '../../review/useVocabulary.js';
import { reasonInWords } from '../../review/lookupReasons.js';
import { Numbers } from '../../review/Numbers.js';

export const NO_DATABASE =
  'The database does not answer, so new terms cannot be counted now. What you add is kept and counted later.';

/** A part of the clause that is joined with AND: it becomes a lane, never an alternative in this one. */
export function LaneOffer({ concept, count }: { concept: ProposedConcept; count: TermCount | undefined }) {
  const terms = [...concept.headings.map(({ label }) => label), ...concept.words];
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <b>A lane of its own: {concept.text}</b>
        <Numbers count={count === undefined ? undefined : { ...count, adds: null }} />
      </span>
      <span className="quiet block text-xs">Another concept, joined with AND: {terms.join(', ')}</span>
    </>
  );
}

export function HeadingOffer({
  hit,
  typed,
  count,
  foreign,
}: {
  hit: PlacedHit;
  typed: string;
  count: TermCount | undefined;
  /** whether it is of another vocabulary than the database at hand has */
  foreign: boolean;
}) {
  const { heading } = hit;
  const place = useVocabularies().find(({ id }) => id === hit.vocabulary)?.name;
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <b>{heading.label}</b>
        {!(foreign && count?.error != null) && <Numbers count={count} />}
      </span>
      <span className="quiet block text-xs">
        {foreign ? `Heading of the ${place ?? hit.vocabulary}` : 'Heading'}, with narrower;{' '}
        {reasonInWords(hit, typed)}
      </span>
      {heading.scopeNote !== '' && <span className="block text-xs">{heading.scopeNote}</span>}
    </>
  );
}

export function WordsOffer({ text, count }: { text: string; count: TermCount | undefined }) {
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <span className="font-mono text-[0.78125rem] break-all">{text}</span>
        <Numbers count={count} />
      </span>
      <span className="quiet block text-xs">Words in title, abstract, keywords</span>
    </>
  );
}
