import {
  arrangeElements,
  elementShape,
  FRAMEWORKS,
  questionSentence,
  type FrameworkId,
} from '@even-lantern/core';
import type { Review, ReviewElement } from '@even-lantern/contract';
import { ArrowRight } from 'lucide-react';
import { toast } from 'sonner';
import { Link } from 'react-router';
import { api, problemOf } from '../../app/api.js';
import { termsOfElement } from '../../app/lanes.js';
import { useUndo } from '../../app/undo.js';
import { useReview } from '../../app/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { ElementEditor } from './ElementEditor.js';
import { Overview } from './Overview.js';

/** The question, framed as elements and read back as one sentence. */
export function QuestionStage() {
  const { review } = useReview();
  const sentence = questionSentence(review.elements, review.framework);
  const searched = review.elements.filter((element) => element.searched);
  const { own, others } = arrangeElements(review.framework, review.elements, (element) =>
    isEmpty(review, element),
  );
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-3 px-6 py-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h1 className="text-[17px] font-bold">Question</h1>
        <p className="quiet flex-1">Write what you know; leave the rest open. It is saved as you write.</p>
        <FrameworkChoice />
      </div>
      <p className="rule border-y py-3 font-serif text-xl leading-snug" data-testid="sentence">
        {sentence === '' ? (
          <span className="quiet">The question will stand here as one sentence.</span>
        ) : (
          sentence
        )}
      </p>
      <div className="rule divide-y divide-[var(--rule)]">
        {own.map((element) => (
          <ElementEditor key={element.id} element={element} />
        ))}
      </div>
      {others.length > 0 && (
        <section aria-label="Written under another framework">
          <h2 className="small-head">Written under another framework</h2>
          <p className="quiet text-sm">
            These are kept. They are not part of the sentence; those that are searched on still have their
            lane.
          </p>
          <div className="rule divide-y divide-[var(--rule)]">
            {others.map((element) => (
              <ElementEditor key={element.id} element={element} />
            ))}
          </div>
        </section>
      )}
      <div className="flex items-center gap-4 pb-6">
        <Link className="btn btn-primary" to="../concepts" relative="path">
          Map the concepts <ArrowRight className="h-4 w-4" aria-hidden="true" />
        </Link>
        <p className="quiet">
          {searched.length === 0
            ? 'No element is searched on. Switch on at least one.'
            : `Searched on: ${searched.map(({ key }) => elementShape(key).name).join(', ')}. The counts beside each show what it costs.`}
        </p>
      </div>
      <Overview />
    </div>
  );
}

function isEmpty(review: Review, { id, text, note, searched }: ReviewElement): boolean {
  return text === '' && note === '' && !searched && termsOfElement(review, id).length === 0;
}

function FrameworkChoice() {
  const { review } = useReview();
  const { remember } = useUndo();
  const [changeReview] = api.useChangeReviewMutation();
  const [refresh] = api.useLazyReviewQuery();
  const change = async (framework: FrameworkId) => {
    const { version, framework: before } = await refresh(review.id).unwrap();
    const result = await changeReview({ id: review.id, version, framework });
    if (result.data === undefined) {
      toast.error(problemOf(result.error).title);
      return;
    }
    remember({
      what: 'framed the question another way',
      undo: async () => {
        const fresh = await refresh(review.id).unwrap();
        await changeReview({ id: review.id, version: fresh.version, framework: before }).unwrap();
      },
    });
  };
  return (
    <div className="flex items-center gap-2 text-sm">
      Framed as
      <ChoiceMenu
        label="Framed as"
        text={FRAMEWORKS.find(({ id }) => id === review.framework)?.name ?? ''}
        side="right"
        chosen={review.framework}
        choices={FRAMEWORKS.map(({ id, name, purpose }) => ({ id, name, detail: purpose }))}
        onChoose={(id) => {
          change(id as FrameworkId).catch((error: unknown) => toast.error(problemOf(error).title));
        }}
      />
    </div>
  );
}
