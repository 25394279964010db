import {
  counted,
  describeTerm,
  elementShape,
  formatCount,
  frameworkOf,
  nameOfLane,
  textKey,
  type TermContent,
} from '@even-lantern/core';
import type { NewConcept, TermCount } from '@even-lantern/contract';
import { Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useKey } from '../../parts/keys/useKey.js';
import { Link } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useReview } from '../../review/useReview.js';
import { useSettled } from '../../review/useSettled.js';
import { useShelf } from '../../review/useShelf.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { ElementTile } from '../../parts/ElementTile.js';
import type { Proposal } from './useProposals.js';

const COUNT_AFTER_MS = 200;
const FURTHER = 'further';

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
  const isWanted = (proposal: Proposal, i: number) =>
    (proposal.contents[i]?.kind === 'heading' || countOf(proposal, i)?.hits !== 0) !==
    turned.has(`${proposal.key} ${i}`);
  const wanted = (proposal: Proposal) => proposal.contents.filter((_, i) => isWanted(proposal, i));
  const elementOf = (proposal: Proposal) =>
    elements.has(proposal.key) ? (elements.get(proposal.key) ?? null) : proposal.elementId;
  const open = proposals.filter(({ lane }) => lane === null);
  const done = proposals.filter(({ lane }) => lane !== null);

  const makeLanes = async (chosen: readonly Proposal[]) => {
    if (chosen.length === 0) return;
    const concepts = chosen.map((proposal): NewConcept => ({
      elementId: elementOf(proposal),
      name: proposal.concept.text.slice(0, 300),
      terms: wanted(proposal).map((content) => ({
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
      contents: wanted(proposal).length > 0 ? wanted(proposal) : proposal.contents,
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
          <li
            key={proposal.key}
            aria-label={proposal.concept.text}
            className={`rule rounded-box flex min-w-0 flex-col gap-1 border p-2.5 ${proposal.item !== null ? 'border-dashed' : 'bg-base-100'}`}
          >
            <div className="flex items-start gap-2">
              <WhereTo
                elementId={elementOf(proposal)}
                name={proposal.concept.text}
                onChoose={(id) => setChosen({ turned, elements: new Map(elements).set(proposal.key, id) })}
              />
              <h3 className="min-w-0 flex-1 font-semibold break-words">{proposal.concept.text}</h3>
            </div>
            <ul className="flex flex-col text-sm">
              {proposal.contents.map((content, i) => (
                <Term
                  key={i}
                  content={content}
                  reason={reasonOf(proposal, content)}
                  count={countOf(proposal, i)}
                  wanted={isWanted(proposal, i)}
                  onTurn={() => {
                    const next = new Set(turned);
                    const key = `${proposal.key} ${i}`;
                    if (!next.delete(key)) next.add(key);
                    setChosen({ turned: next, elements });
                  }}
                />
              ))}
              {proposal.concept.headings.length === 0 && (
                <li className="quiet text-xs">No heading has this name; words only.</li>
              )}
            </ul>
            <div className="mt-auto flex items-center justify-between gap-2 pt-1 text-sm">
              <button className="btn btn-xs btn-quiet" onClick={() => void makeLanes([proposal])}>
                Make a lane{' '}
                {open.indexOf(proposal) < 9 && (
                  <kbd className="quiet font-mono">{open.indexOf(proposal) + 1}</kbd>
                )}
              </button>
              {proposal.item === null ? (
                <button
                  className="link text-xs"
                  aria-label={`Put ${proposal.concept.text} on the shelf`}
                  onClick={() => void shelve(proposal)}
                >
                  shelf
                </button>
              ) : (
                <span className="quiet text-xs">on the shelf</span>
              )}
            </div>
          </li>
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

function InLane({ proposal: { lane, concept } }: { proposal: Proposal }) {
  const { review } = useReview();
  if (lane === null) return null;
  const element = review.elements.find(({ id }) => id === lane.elementId) ?? null;
  const name = nameOfLane(lane, element);
  return (
    <li className="flex min-w-0 items-center gap-1.5">
      <ElementTile element={element?.key ?? null} />
      <span className="max-w-56 truncate">{concept.text}</span>
      <Link
        to={`../concepts?lane=${lane.id}`}
        relative="path"
        className="text-success flex items-center gap-1 text-xs"
        title={`in the lane ${name}`}
      >
        <Check className="h-3.5 w-3.5 shrink-0" aria-hidden="true" />
        {textKey(name) === textKey(concept.text) ? (
          'its lane'
        ) : (
          <span className="max-w-40 truncate">in {name}</span>
        )}
      </Link>
    </li>
  );
}

/** The element that a concept would belong to; the letter can be changed. */
function WhereTo({
  elementId,
  name,
  onChoose,
}: {
  elementId: string | null;
  name: string;
  onChoose: (id: string | null) => void;
}) {
  const { review } = useReview();
  const element = review.elements.find(({ id }) => id === elementId) ?? null;
  const keys = frameworkOf(review.framework).elements;
  return (
    <ChoiceMenu
      label={`Where ${name} belongs`}
      text={element === null ? '+' : elementShape(element.key).letter}
      className="btn-xs"
      chosen={element?.id ?? FURTHER}
      choices={[
        ...review.elements
          .filter(({ key }) => keys.includes(key))
          .map(({ id, key }) => ({ id, name: elementShape(key).name })),
        { id: FURTHER, name: 'A further concept' },
      ]}
      onChoose={(id) => onChoose(id === FURTHER ? null : id)}
    />
  );
}

function reasonOf({ concept }: Proposal, content: TermContent): string | null {
  if (content.kind !== 'heading') return null;
  const heading = concept.headings.find(({ label }) => label === content.label);
  if (heading === undefined) return null;
  switch (heading.reason) {
    case 'same label':
      return null;
    case 'likely misspelling':
      return `close to “${heading.matched}”`;
    case 'in other words':
      return `people also say “${heading.matched}” for it`;
    default:
      return `used for “${heading.matched}”`;
  }
}

function Term({
  content,
  reason,
  count,
  wanted,
  onTurn,
}: {
  content: TermContent;
  reason: string | null;
  count: TermCount | undefined;
  wanted: boolean;
  onTurn: () => void;
}) {
  const { text } = describeTerm(content);
  const isHeading = content.kind === 'heading';
  return (
    <li>
      <label className="flex cursor-pointer items-start gap-1.5">
        <input
          type="checkbox"
          className="checkbox checkbox-xs mt-1"
          checked={wanted}
          aria-label={text}
          onChange={onTurn}
        />
        <span className={`min-w-0 flex-1 break-words ${wanted ? '' : 'quiet line-through'}`}>
          <span className={isHeading ? '' : 'font-mono text-[12.5px]'}>{text}</span>
          {isHeading && <span className="quiet text-xs"> with narrower</span>}
          {reason !== null && <span className="quiet block text-xs">{reason}</span>}
        </span>
        <span className="count quiet pt-0.5 text-xs" title={count?.error ?? undefined}>
          {count === undefined ? '…' : count.hits === null ? '—' : formatCount(count.hits)}
        </span>
      </label>
    </li>
  );
}
