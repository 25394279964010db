import type { ReviewTerm } from '@even-lantern/contract';
import { Link } from 'react-router';
import { lanesOfReview } from '../../../review/lanes.js';
import { useReview } from '../../../review/useReview.js';
import { ChoiceMenu } from '../../../parts/ChoiceMenu.js';
import { useTermEdits } from '../../../review/useTermEdits.js';

/** What can be done with the term of a line, as in its lane. */
export function TermActions({ term }: { term: ReviewTerm }) {
  const { review } = useReview();
  const edits = useTermEdits();
  const others = lanesOfReview(review).filter(({ id }) => id !== term.laneId);
  return (
    <span className="flex flex-wrap items-center gap-1">
      {others.length > 0 && (
        <ChoiceMenu
          label="Move the term to another lane"
          text="Move to"
          className="btn-xs"
          choices={others.map(({ id, name }) => ({ id, name }))}
          onChoose={(id) => void edits.move(term, id)}
        />
      )}
      <button
        className="btn btn-ghost btn-xs"
        title="It is kept in its lane, and not searched"
        onClick={() => void edits.holdBack(term, 'switched off on the sheet')}
      >
        Switch off
      </button>
      <button className="btn btn-ghost btn-xs" onClick={() => void edits.remove(term)}>
        Take out
      </button>
      <Link className="btn btn-ghost btn-xs" to={`../concepts?term=${term.id}`} relative="path">
        Change
      </Link>
    </span>
  );
}
