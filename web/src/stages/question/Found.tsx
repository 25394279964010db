import { useReview } from '../../review/useReview.js';
import { ConceptCards } from './ConceptCards.js';
import type { Proposal, Proposals } from './useProposals.js';
import { textsOfElements } from './textsOfElements.js';

/** The concepts that were found, or why there are none. */
export function Found({
  found,
  draft,
  onMade,
}: {
  found: Proposals | null;
  draft: string;
  onMade: () => void;
}) {
  const { review } = useReview();
  const written = draft.trim() !== '' || review.elements.some(({ text }) => text.trim() !== '');
  if (!written || found === null) return null;
  const { proposals, unread } = found;
  if (proposals.length === 0) {
    return (
      <p role="status" className="problem text-sm">
        There is nothing to search on here. Words such as “effect”, “patients” and “better” say nothing by
        themselves: name who it is about, and what is done.
      </p>
    );
  }
  const noHeading = proposals.length > 1 && proposals.every(({ concept }) => concept.headings.length === 0);
  const textsFor = (made: readonly { proposal: Proposal; elementId: string | null }[]) =>
    draft.trim() === '' ? [] : textsOfElements(review, draft, made);
  return (
    <>
      {unread !== null && (
        <p className="quiet text-sm">
          It is long: what comes after “{(draft || '…').slice(Math.max(0, unread - 40), unread).trim()}” was
          not read. Take that apart by itself.
        </p>
      )}
      {noHeading && (
        <p className="quiet text-sm">
          No heading has any of these names. The vocabularies and most records are in English: write the
          question in English, or search for the words alone.
        </p>
      )}
      <ConceptCards
        proposals={proposals}
        source={draft.trim() === '' ? 'the question' : 'a text that was taken apart'}
        textsFor={textsFor}
        onMade={onMade}
      />
    </>
  );
}
