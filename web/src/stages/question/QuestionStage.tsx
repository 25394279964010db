import {
  arrangeElements,
  elementShape,
  FRAMEWORKS,
  questionSentence,
  type ElementKey,
  type FrameworkId,
} from '@even-lantern/core';
import type { Review, ReviewElement } from '@even-lantern/contract';
import { ArrowRight } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { Link } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { reviewApi } from '../../review/api/reviewApi.js';
import { termsOfElement } from '../../review/lanes.js';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { Shelf } from '../../review/Shelf.js';
import { ConceptCards } from './ConceptCards.js';
import { ElementEditor } from './ElementEditor.js';
import { Overview } from './Overview.js';
import { Sentence } from './Sentence.js';
import { useProposals, type Proposal, type Proposals } from './useProposals.js';
import { WriteQuestion } from './WriteQuestion.js';

/** Elements that are shown only once they are wanted, since they seldom belong in a search. */
const SELDOM: readonly ElementKey[] = ['T', 'S'];

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
          <h1 className="text-[17px] font-bold">Question</h1>
          <p className="quiet flex-1 max-md:hidden">
            Write what you know; leave the rest open. It is saved as you write.
          </p>
          <FrameworkChoice />
        </div>
        {sentence !== '' && (
          <Sentence text={sentence} proposals={draft === '' ? (found?.proposals ?? []) : []} />
        )}
        {showsDraft ? (
          <WriteQuestion draft={draft} onChange={setDraft} onClear={clear} asked={writing} />
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

/** What somebody is writing survives a reload; it belongs to nobody else until it becomes lanes. */
function useDraft(reviewId: string): [string, (draft: string) => void] {
  const key = `even-lantern-draft-${reviewId}`;
  const [draft, setDraft] = useState(() => localStorage.getItem(key) ?? '');
  return [
    draft,
    (text) => {
      setDraft(text);
      if (text === '') localStorage.removeItem(key);
      else localStorage.setItem(key, text);
    },
  ];
}

/** The concepts that were found, or why there are none. */
function Found({ found, draft, onMade }: { found: Proposals | null; draft: string; onMade: () => void }) {
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

/** What elements that say nothing yet say from now on: the words of the text that became their lanes. */
function textsOfElements(
  review: Review,
  draft: string,
  made: readonly { proposal: Proposal; elementId: string | null }[],
): { elementId: string; text: string }[] {
  return review.elements
    .filter(({ text }) => text.trim() === '')
    .flatMap(({ id }) => {
      const own = made.filter(({ elementId }) => elementId === id).map(({ proposal }) => proposal.concept);
      const [first, last] = [own[0], own.at(-1)];
      if (first === undefined || last === undefined) return [];
      const strangers = made.some(
        ({ elementId, proposal: { concept } }) =>
          elementId !== id && concept.from > first.from && concept.from < last.to,
      );
      const text = strangers
        ? own.map((concept) => concept.text).join(', ')
        : draft.slice(first.from, last.to);
      return [{ elementId: id, text: text.replace(/\s+/g, ' ').slice(0, 2000) }];
    });
}

function Elements({ elements, found }: { elements: readonly ReviewElement[]; found: readonly Proposal[] }) {
  const { review } = useReview();
  const [asked, setAsked] = useState(false);
  const isSeldom = (element: ReviewElement) => SELDOM.includes(element.key) && isEmpty(review, element);
  const hidden = asked ? [] : elements.filter(isSeldom);
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
        <button className="link pt-1 text-sm" onClick={() => setAsked(true)}>
          {hidden.map(({ key }) => elementShape(key).name).join(', ')}: add when they matter
        </button>
      )}
    </section>
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

function isEmpty(review: Review, { id, text, note, searched }: ReviewElement): boolean {
  return text === '' && note === '' && !searched && termsOfElement(review, id).length === 0;
}

function FrameworkChoice() {
  const { review } = useReview();
  const [changeReview] = reviewApi.useChangeReviewMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();
  const change = async (framework: FrameworkId) => {
    const { version } = await refresh(review.id).unwrap();
    const result = await changeReview({ id: review.id, version, framework });
    if (result.data === undefined) toast.error(problemOf(result.error).title);
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
