import { describeTerm, elementShape, formatCount, frameworkOf, type TermContent } from '@even-lantern/core';
import type { TermCount } from '@even-lantern/contract';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import type { Proposal } from './useProposals.js';

interface ConceptCardProps {
  proposal: Proposal;
  /** the key that makes it a lane, where it is below ten */
  digit: number;
  /** the element that its lane would belong to; null for a further concept */
  elementId: string | null;
  onElement: (id: string | null) => void;
  countOf: (i: number) => TermCount | undefined;
  /** whether the lane would have the content at a place */
  isChosen: (i: number) => boolean;
  onTurn: (i: number) => void;
  onMake: () => void;
  onShelve: () => void;
}

/** A concept with what its lane would search. */
export function ConceptCard(props: ConceptCardProps) {
  const { proposal, digit, elementId, onElement, countOf, isChosen, onTurn, onMake, onShelve } = props;
  return (
    <li
      aria-label={proposal.concept.text}
      className={`rule rounded-box flex min-w-0 flex-col gap-1 border p-2.5 ${proposal.item !== null ? 'border-dashed' : 'bg-base-100'}`}
    >
      <div className="flex items-start gap-2">
        <WhereTo elementId={elementId} name={proposal.concept.text} onChoose={onElement} />
        <h3 className="min-w-0 flex-1 font-semibold break-words">{proposal.concept.text}</h3>
      </div>
      <ul className="flex flex-col text-sm">
        {proposal.contents.map((content, i) => (
          <Term
            key={i}
            content={content}
            reason={reasonOf(proposal, content)}
            count={countOf(i)}
            chosen={isChosen(i)}
            onTurn={() => onTurn(i)}
          />
        ))}
        {proposal.concept.headings.length === 0 && (
          <li className="quiet text-xs">No heading has this name; words only.</li>
        )}
      </ul>
      <div className="mt-auto flex items-center justify-between gap-2 pt-1 text-sm">
        <button className="btn btn-xs btn-quiet" onClick={onMake}>
          Make a lane {digit <= 9 && <kbd className="quiet font-mono">{digit}</kbd>}
        </button>
        {proposal.item === null ? (
          <button
            className="link text-xs"
            aria-label={`Put ${proposal.concept.text} on the shelf`}
            onClick={onShelve}
          >
            shelf
          </button>
        ) : (
          <span className="quiet text-xs">on the shelf</span>
        )}
      </div>
    </li>
  );
}

const FURTHER = 'further';

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
  chosen,
  onTurn,
}: {
  content: TermContent;
  reason: string | null;
  count: TermCount | undefined;
  chosen: boolean;
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
          checked={chosen}
          aria-label={text}
          onChange={onTurn}
        />
        <span className={`min-w-0 flex-1 break-words ${chosen ? '' : 'quiet line-through'}`}>
          <span className={isHeading ? '' : 'font-mono text-[0.78125rem]'}>{text}</span>
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
