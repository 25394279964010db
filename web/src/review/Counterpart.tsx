import { headingByLabel, settledAs, wordsFor, type Proposal, type Settled } from '@even-lantern/core';
import type { NewSettlement, VocabularySummary } from '@even-lantern/contract';
import { Check } from 'lucide-react';
import { useCrosswalk, useProposals } from './useCrosswalk.js';
import { useVocabulary } from './useVocabulary.js';
import { FindHeading, Proposed } from './Proposed.js';

interface CounterpartProps {
  vocabulary: string;
  label: string;
  target: VocabularySummary;
}

/** What stands for one heading in one other vocabulary, and how to settle it. */
export function Counterpart({ vocabulary, label, target }: CounterpartProps) {
  const { settlements, settle } = useCrosswalk();
  const settled = settledAs(settlements, vocabulary, label, target.id);
  const proposed = useProposals(vocabulary, [label], [target.id]);
  const proposals = proposed?.find((each) => each.label === label && each.target === target.id)?.proposals;
  const say = (verdict: NewSettlement['verdict'], targetLabel: string | null, what: string) =>
    settle({ vocabulary, label, target: target.id, targetLabel, verdict }, what);
  const useWords = () => void say('words', null, `words for ${label}`);
  const tree = useVocabulary(vocabulary);
  const own = tree === null ? null : headingByLabel(tree, label);
  const offered = (proposals ?? []).filter(
    ({ heading }) => settled.kind !== 'headings' || !settled.labels.includes(heading.label),
  );
  const show = (some: readonly Proposal[]) =>
    some.map((proposal) => (
      <Proposed
        key={proposal.heading.label}
        proposal={proposal}
        label={label}
        onConfirm={() =>
          void say('confirmed', proposal.heading.label, `${proposal.heading.label} for ${label}`)
        }
        onRefuse={() =>
          void say('refused', proposal.heading.label, `refused ${proposal.heading.label} for ${label}`)
        }
      />
    ));
  return (
    <div className="flex flex-col gap-1">
      <SettledAs
        settled={settled}
        onOpen={(to) => void say('open', to, `took back what stands for ${label}`)}
      />
      {settled.kind === 'open' && proposals === undefined && <p className="quiet">Comparing …</p>}
      {settled.kind === 'open' && proposals?.length === 0 && (
        <div className="flex flex-col items-start gap-1">
          <p>
            Nothing fits.
            {own !== null && (
              <>
                {' '}
                <span className="quiet">Words instead: {wordsFor(own).join(', ')}.</span>
              </>
            )}
          </p>
          <WordsInstead onChoose={useWords} />
        </div>
      )}
      {settled.kind === 'open' && show(offered.slice(0, 1))}
      <details>
        <summary className="link cursor-pointer text-xs">
          {settled.kind === 'open' ? 'others …' : 'change …'}
          <span className="sr-only">
            {' '}
            for {label} in the {target.name}
          </span>
        </summary>
        <div className="flex flex-col gap-1 pt-1">
          {show(settled.kind === 'open' ? offered.slice(1) : offered)}
          <FindHeading
            target={target}
            label={label}
            onConfirm={(to) => void say('confirmed', to, `${to} for ${label}`)}
          />
          {settled.kind === 'open' && proposals?.length !== 0 && <WordsInstead onChoose={useWords} />}
        </div>
      </details>
    </div>
  );
}

function WordsInstead({ onChoose }: { onChoose: () => void }) {
  return (
    <button className="btn btn-xs btn-quiet self-start" onClick={onChoose}>
      Search its names as words
    </button>
  );
}

function SettledAs({ settled, onOpen }: { settled: Settled; onOpen: (label: string | null) => void }) {
  switch (settled.kind) {
    case 'open':
      return null;
    case 'words':
      return (
        <p className="flex items-center gap-2">
          <Check className="h-3.5 w-3.5 shrink-0" aria-label="Settled:" />
          <span className="flex-1">its names as words</span>
          <TakeBack what="its names as words" onOpen={() => onOpen(null)} />
        </p>
      );
    case 'headings':
      return (
        <>
          {settled.labels.map((each) => (
            <p key={each} className="flex items-center gap-2">
              <Check className="h-3.5 w-3.5 shrink-0" aria-label="Confirmed:" />
              <b className="flex-1">{each}</b>
              <TakeBack what={each} onOpen={() => onOpen(each)} />
            </p>
          ))}
        </>
      );
  }
}

function TakeBack({ what, onOpen }: { what: string; onOpen: () => void }) {
  return (
    <button className="link text-xs" onClick={onOpen} aria-label={`Take back ${what}`}>
      take back
    </button>
  );
}
