import { arrangeElements, elementShape, questionSentence } from '@even-lantern/core';
import { ArrowRight } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useReview } from '../../review/useReview.js';
import { Shelf } from '../../review/Shelf.js';
import { ElementEditor } from './ElementEditor.js';
import { Overview } from './Overview.js';
import { Sentence } from './Sentence.js';
import { useProposals } from './useProposals.js';
import { WriteQuestion } from './WriteQuestion.js';
import { Elements } from './Elements.js';
import { useDraft } from './useDraft.js';
import { Found } from './Found.js';
import { FrameworkChoice } from './FrameworkChoice.js';
import { isEmpty } from './isEmpty.js';

/** The question, framed as elements and read back as one sentence; its concepts, and a scan of what there is. */
export function QuestionStage() {
  const { review } = useReview();
  const sentence = questionSentence(review.elements, review.framework);
  const { own, others } = arrangeElements(review.framework, review.elements, (element) =>
    isEmpty(review, element),
  );
  const begun = sentence !== '' || review.lanes.some(({ terms }) => terms.length > 0);
  const [draft, setDraft] = useDraft(review.id);
  const [writing, setWriting] = useState(false);
  const showsDraft = !begun || writing || draft !== '';
  const found = useProposals(draft);
  const clear = () => {
    setDraft('');
    setWriting(false);
  };
  return (
    <div className={`flex min-h-full ${begun ? 'max-xl:flex-col' : 'flex-col'}`}>
      {!begun && (
        <div className="rule border-b px-6 pt-3 pb-4">
          <Overview wide />
        </div>
      )}
      <div className="flex min-w-0 flex-1 flex-col gap-3 px-6 py-3">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h1 className="text-[1.0625rem] font-bold">Question</h1>
          <p className="quiet flex-1 max-md:hidden">
            Write what you know; leave the rest open. It is saved as you write.
          </p>
          <FrameworkChoice />
        </div>
        {sentence !== '' && (
          <Sentence text={sentence} proposals={draft === '' ? (found?.proposals ?? []) : []} />
        )}
        {showsDraft ? (
          <WriteQuestion draft={draft} onChange={setDraft} onClear={clear} focused={writing} />
        ) : (
          <button className="link self-start text-sm" onClick={() => setWriting(true)}>
            Take another sentence or paragraph apart
          </button>
        )}
        <Found found={found} draft={draft} onMade={clear} />
        <Elements elements={own} found={draft === '' ? (found?.proposals ?? []) : []} />
        {others.length > 0 && (
          <section aria-label="Written under another framework">
            <h2 className="small-head">Written under another framework</h2>
            <p className="quiet text-sm">
              These are kept but are not part of the sentence. Those that you search on still have their lane.
            </p>
            <div className="rule divide-y divide-[var(--rule)]">
              {others.map((element) => (
                <ElementEditor key={element.id} element={element} proposed={0} />
              ))}
            </div>
          </section>
        )}
        <Shelf />
        <Onward />
      </div>
      {begun && (
        <aside className="rule bg-base-100 shrink-0 border-l px-4 py-3 max-xl:border-t max-xl:border-l-0 xl:w-[21.5rem]">
          <Overview offered={(found?.proposals ?? []).map(({ concept }) => concept.text)} />
        </aside>
      )}
    </div>
  );
}

function Onward() {
  const { review } = useReview();
  const searched = review.elements.filter((element) => element.searched);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pb-4">
      <Link className="btn btn-primary" to="../concepts" relative="path">
        Map the concepts <ArrowRight className="h-4 w-4" aria-hidden="true" />
      </Link>
      <p className="quiet text-sm">
        {searched.length === 0
          ? 'No element is searched on. Switch on at least one.'
          : `Searched on: ${searched.map(({ key }) => elementShape(key).name).join(', ')}.`}
      </p>
    </div>
  );
}
