import { nameOfLane, textKey } from '@even-lantern/core';
import { Check } from 'lucide-react';
import { Link } from 'react-router';
import { useReview } from '../../review/useReview.js';
import { ElementTile } from '../../parts/ElementTile.js';
import type { Proposal } from './useProposals.js';

export function InLane({ proposal: { lane, concept } }: { proposal: Proposal }) {
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
