import { ELEMENTS, questionSentence } from '@even-lantern/core';
import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';
import { useReview } from '../../app/useReview.js';
import { ElementEditor } from './ElementEditor.js';

/** The question, framed as elements and read back as one sentence. */
export function QuestionStage() {
  const { review } = useReview();
  const sentence = questionSentence(review.elements);
  const searched = review.elements.filter((element) => element.searched);
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-3 px-6 py-3">
      <div className="flex items-baseline gap-3">
        <h1 className="text-[17px] font-bold">Question</h1>
        <p className="quiet">Write what you know; leave the rest open. It is saved as you write.</p>
      </div>
      <p className="rule border-y py-3 font-serif text-xl leading-snug" data-testid="sentence">
        {sentence === '' ? (
          <span className="quiet">The question will stand here as one sentence.</span>
        ) : (
          sentence
        )}
      </p>
      <div className="rule divide-y divide-[var(--rule)]">
        {ELEMENTS.map(({ key }) => {
          const element = review.elements.find((each) => each.key === key);
          return element === undefined ? null : <ElementEditor key={element.id} element={element} />;
        })}
      </div>
      <div className="flex items-center gap-4 pb-6">
        <Link className="btn btn-primary" to="../concepts" relative="path">
          Map the concepts <ArrowRight className="h-4 w-4" aria-hidden="true" />
        </Link>
        <p className="quiet">
          {searched.length === 0
            ? 'No element is searched on. Switch on at least one.'
            : `Searched on: ${searched.map(({ key }) => ELEMENTS.find((each) => each.key === key)?.name).join(', ')}. Comparison and outcome often narrow too much.`}
        </p>
      </div>
    </div>
  );
}
