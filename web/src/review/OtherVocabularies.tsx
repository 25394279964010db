import {
  headingByLabel,
  settledAs,
  wordsFor,
  type Proposal,
  type ProposalReason,
  type Settled,
} from '@even-lantern/core';
import type { NewSettlement, VocabularySummary } from '@even-lantern/contract';
import { Check, X } from 'lucide-react';
import { useState } from 'react';
import { useCrosswalk, useProposals } from './useCrosswalk.js';
import { useLookup } from './useLookup.js';
import { useReview } from './useReview.js';
import { useVocabularies, useVocabulary } from './useVocabulary.js';
import { reasonInWords } from './lookupReasons.js';

/** What stands for a heading in each other vocabulary: settled, proposed, or to be found. */
export function OtherVocabularies({ vocabulary, label }: { vocabulary: string; label: string }) {
  const { database } = useReview();
  const here = database?.vocabulary?.id;
  const others = useVocabularies()
    .filter(({ id }) => id !== vocabulary)
    .sort((a, b) => Number(b.id === here) - Number(a.id === here));
  if (others.length === 0) return null;
  return (
    <section aria-label="In other vocabularies">
      <h4 className="small-head">In other vocabularies</h4>
      <ul className="flex flex-col gap-2 pt-1">
        {others.map((other) => (
          <li key={other.id} aria-label={other.name}>
            <p className="quiet text-xs">{other.name}</p>
            <Counterpart vocabulary={vocabulary} label={label} target={other} />
          </li>
        ))}
      </ul>
    </section>
  );
}

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

/** Reasons that are written out; the others are told on pointing at them. */
const REASONS_SHOWN = 2;

function Proposed({
  proposal: { heading, reasons },
  label,
  onConfirm,
  onRefuse,
}: {
  proposal: Proposal;
  label: string;
  onConfirm: () => void;
  onRefuse: () => void;
}) {
  const why = reasons.map(proposalReason);
  return (
    <div>
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1" title={heading.scopeNote}>
          {heading.label}?
        </span>
        <button
          className="btn btn-xs btn-quiet"
          onClick={onConfirm}
          aria-label={`Confirm ${heading.label} for ${label}`}
        >
          <Check className="h-3.5 w-3.5" aria-hidden="true" /> Confirm
        </button>
        <button
          className="btn btn-xs btn-ghost btn-square"
          onClick={onRefuse}
          aria-label={`Refuse ${heading.label} for ${label}`}
          title="It does not stand for it"
        >
          <X className="h-3.5 w-3.5" aria-hidden="true" />
        </button>
      </div>
      <p className="quiet text-xs" title={why.join('; ')}>
        {why.slice(0, REASONS_SHOWN).join('; ')}
      </p>
      {heading.scopeNote !== '' && <p className="text-xs">{heading.scopeNote}</p>}
    </div>
  );
}

const NAMED = 3;

/** Why a heading is proposed. */
export function proposalReason(reason: ProposalReason): string {
  switch (reason.kind) {
    case 'same label':
      return 'the same name';
    case 'label among entry terms':
      return `“${reason.term}” is the name of one and an entry term of the other`;
    case 'shared entry terms':
      return `both are used for ${some(reason.terms.map((term) => `“${term}”`))}`;
    case 'words in common':
      return `words in common: ${reason.words.join(' ')}`;
    case 'neighbours correspond':
      return `beside it ${some(reason.pairs.map(([own, other]) => `${own} is ${other}`))}`;
    case 'confirmed the other way round':
      return 'confirmed the other way round';
    case 'stands for a broader heading':
      return `wider: stands for ${reason.label}`;
  }
}

function some(names: readonly string[]): string {
  const more = names.length - NAMED;
  return names.slice(0, NAMED).join(', ') + (more > 0 ? ` and ${more} more` : '');
}

/** Any heading of the other vocabulary, found by typing. */
function FindHeading({
  target,
  label,
  onConfirm,
}: {
  target: VocabularySummary;
  label: string;
  onConfirm: (label: string) => void;
}) {
  const [typed, setTyped] = useState('');
  const hits = useLookup(typed.trim(), target.id);
  const tree = useVocabulary(target.id);
  return (
    <div>
      <input
        className="input input-sm w-full"
        aria-label={`Find a heading of the ${target.name} for ${label}`}
        placeholder="Find another heading …"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {typed.trim() !== '' && hits?.length === 0 && <p className="quiet text-xs">No heading of that name.</p>}
      <ul>
        {typed.trim() !== '' &&
          hits?.map((hit) => (
            <li key={hit.heading.label} className="flex items-start gap-1.5 pt-1">
              <span className="min-w-0 flex-1" title={tree === null ? '' : noteOf(tree, hit.heading.label)}>
                {hit.heading.label}
                <span className="quiet block text-xs">{reasonInWords(hit, typed.trim())}</span>
              </span>
              <button
                className="btn btn-xs btn-quiet"
                onClick={() => onConfirm(hit.heading.label)}
                aria-label={`Confirm ${hit.heading.label} for ${label}`}
              >
                Confirm
              </button>
            </li>
          ))}
      </ul>
    </div>
  );
}

function noteOf(tree: Parameters<typeof headingByLabel>[0], label: string): string {
  return headingByLabel(tree, label)?.scopeNote ?? '';
}
