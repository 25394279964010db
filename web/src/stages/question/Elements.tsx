import { elementShape, type ElementKey } from '@even-lantern/core';
import type { ReviewElement } from '@even-lantern/contract';
import { useState } from 'react';
import { useReview } from '../../review/useReview.js';
import { ElementEditor } from './ElementEditor.js';
import type { Proposal } from './useProposals.js';
import { isEmpty } from './isEmpty.js';

/** Elements that are shown only once they are wanted, since they seldom belong in a search. */
const SELDOM: readonly ElementKey[] = ['T', 'S'];

export function Elements({
  elements,
  found,
}: {
  elements: readonly ReviewElement[];
  found: readonly Proposal[];
}) {
  const { review } = useReview();
  const [allShown, setAllShown] = useState(false);
  const isSeldom = (element: ReviewElement) => SELDOM.includes(element.key) && isEmpty(review, element);
  const hidden = allShown ? [] : elements.filter(isSeldom);
  const proposedFor = (id: string) =>
    found.filter(({ elementId, lane, item }) => elementId === id && lane === null && item === null).length;
  return (
    <section aria-label="Elements">
      <div className="flex items-baseline justify-between">
        <h2 className="small-head">Elements</h2>
        <span className="quiet text-xs">search on it</span>
      </div>
      <div className="rule divide-y divide-[var(--rule)] border-y">
        {elements
          .filter((element) => !hidden.includes(element))
          .map((element) => (
            <ElementEditor key={element.id} element={element} proposed={proposedFor(element.id)} />
          ))}
      </div>
      {hidden.length > 0 && (
        <button className="link pt-1 text-sm" onClick={() => setAllShown(true)}>
          {hidden.map(({ key }) => elementShape(key).name).join(', ')}: add when they matter
        </button>
      )}
    </section>
  );
}
