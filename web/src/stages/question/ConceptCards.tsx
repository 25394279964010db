import { counted } from '@even-lantern/core';
import type { NewConcept, TermCount } from '@even-lantern/contract';
import { useMemo, useState } from 'react';
import { useKey } from '../../parts/keys/useKey.js';
import { problemOf } from '../../review/api/api.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useSettled } from '../../review/useSettled.js';
import { useShelf } from '../../review/useShelf.js';
import type { Proposal } from './useProposals.js';
import { ConceptCard } from './ConceptCard.js';
import { InLane } from './InLane.js';

const COUNT_AFTER_MS = 200;

interface Chosen {
  /** places of contents that are not wanted, or wanted although they find nothing */
  turned: ReadonlySet<string>;
  /** elements that somebody chose, by key of the proposal */
  elements: ReadonlyMap<string, string | null>;
}

/** The concepts that a text holds as cards: what each would search, with counts, to be made lanes or put on the shelf. */
export function ConceptCards({
  proposals,
  source,
  textsFor,
  onMade,
}: {
  proposals: readonly Proposal[];
  /** where the concepts come from, in words */
  source: string;
  /** what elements that say nothing yet would say, when these become lanes */
  textsFor: (
    made: readonly { proposal: Proposal; elementId: string | null }[],
  ) => { elementId: string; text: string }[];
  onMade: () => void;
}) {
  const { make, put } = useShelf();
  const contents = useMemo(() => proposals.flatMap((proposal) => proposal.contents), [proposals]);
  const settled = useSettled(contents, COUNT_AFTER_MS);
  const { counts, error } = useCandidates(settled, { laneId: null });
  const [{ turned, elements }, setChosen] = useState<Chosen>({ turned: new Set(), elements: new Map() });
  const firstOf = new Map<Proposal, number>();
  let next = 0;
  for (const proposal of proposals) {
    firstOf.set(proposal, next);
    next += proposal.contents.length;
  }
  const countOf = (proposal: Proposal, i: number): TermCount | undefined =>
    settled === contents ? counts?.[(firstOf.get(proposal) ?? 0) + i] : undefined;
  const isChosen = (proposal: Proposal, i: number) =>
    (proposal.contents[i]?.kind === 'heading' || countOf(proposal, i)?.hits !== 0) !==
    turned.has(`${proposal.key} ${i}`);
  const chosenContents = (proposal: Proposal) => proposal.contents.filter((_, i) => isChosen(proposal, i));
  const elementOf = (proposal: Proposal) =>
    elements.has(proposal.key) ? (elements.get(proposal.key) ?? null) : proposal.elementId;
  const open = proposals.filter(({ lane }) => lane === null);
  const done = proposals.filter(({ lane }) => lane !== null);

  const makeLanes = async (chosen: readonly Proposal[]) => {
    if (chosen.length === 0) return;
    const concepts = chosen.map((proposal): NewConcept => ({
      elementId: elementOf(proposal),
      name: proposal.concept.text.slice(0, 300),
      terms: chosenContents(proposal).map((content) => ({
        content,
        origin: content.kind === 'heading' ? 'lookup' : 'proposed',
      })),
      ...(proposal.item === null ? {} : { fromShelf: proposal.item.id }),
    }));
    const texts = textsFor(chosen.map((proposal) => ({ proposal, elementId: elementOf(proposal) })));
    if ((await make({ concepts, texts })) !== null && chosen.length === open.length) onMade();
  };
  const shelve = (proposal: Proposal) =>
    put({
      name: proposal.concept.text.slice(0, 300),
      contents: chosenContents(proposal).length > 0 ? chosenContents(proposal) : proposal.contents,
      origin: 'proposed',
      source,
    });
  const unshelved = open.filter(({ item }) => item === null);
  useKey('question.make', ({ key }) => {
    const proposal = open[Number(key) - 1];
    if (proposal !== undefined) void makeLanes([proposal]);
  });
  useKey('question.make-all', () => void makeLanes(unshelved));

  return (
    <section aria-label="Concepts found" className="flex flex-col gap-2">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="small-head">
          {counted(proposals.length, 'concept')} found in it, to be joined with AND
        </h2>
        {unshelved.length > 1 && (
          <button className="btn btn-sm btn-primary" onClick={() => void makeLanes(unshelved)}>
            Make all {unshelved.length} lanes <kbd className="font-mono text-xs font-normal">Shift Enter</kbd>
          </button>
        )}
      </div>
      {error !== undefined && (
        <p role="alert" className="problem text-xs">
          {problemOf(error).title} You can still make the concepts lanes.
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(11.5rem,1fr))] gap-2">
        {open.map((proposal) => (
          <ConceptCard
            key={proposal.key}
            proposal={proposal}
            digit={open.indexOf(proposal) + 1}
            elementId={elementOf(proposal)}
            onElement={(id) => setChosen({ turned, elements: new Map(elements).set(proposal.key, id) })}
            countOf={(i) => countOf(proposal, i)}
            isChosen={(i) => isChosen(proposal, i)}
            onTurn={(i) => {
              const next = new Set(turned);
              const key = `${proposal.key} ${i}`;
              if (!next.delete(key)) next.add(key);
              setChosen({ turned: next, elements });
            }}
            onMake={() => void makeLanes([proposal])}
            onShelve={() => void shelve(proposal)}
          />
        ))}
      </ul>
      {done.length > 0 && (
        <ul aria-label="Concepts that have a lane" className="flex flex-wrap gap-x-5 gap-y-1 text-sm">
          {done.map((proposal) => (
            <InLane key={proposal.key} proposal={proposal} />
          ))}
        </ul>
      )}
    </section>
  );
}
