import { GuideLink } from '../../parts/GuideLink.js';
import { useShelf } from '../../review/useShelf.js';
import { describeTerm, type TermContent } from '@even-lantern/core';
import type { Problem, ReviewTerm, TermCount } from '@even-lantern/contract';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { lanesOfReview, type ReviewLane } from '../../review/lanes.js';
import { useSettledHere } from '../../review/useCrosswalk.js';
import { useReview } from '../../review/useReview.js';
import { useVocabularies } from '../../review/useVocabulary.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { Count } from '../../parts/Count.js';
import { Inspector } from '../../parts/Inspector.js';
import { EditConflict } from '../../parts/EditConflict.js';
import { Endings } from './Endings.js';
import { HeadingOptions } from './HeadingOptions.js';
import { HeadingPlace } from './HeadingPlace.js';
import { HoldBack } from './HoldBack.js';
import { SampleRecords } from './SampleRecords.js';
import { useTermEdits } from '../../review/useTermEdits.js';
import { Variants } from './Variants.js';
import { WordsOptions } from './WordsOptions.js';

interface TermInspectorProps {
  term: ReviewTerm;
  lane: ReviewLane;
  count: TermCount | undefined;
  /** whether it is about to be held back and only the reason is missing */
  askWhyHeld: boolean;
  onClose: () => void;
}

/** Beside the lanes: what the selected term is, its counts, and what can be done with it. */
export function TermInspector({ term, lane, count, askWhyHeld, onClose }: TermInspectorProps) {
  const { add, change, remove } = useTermEdits();
  const [problem, setProblem] = useState<{ problem: Problem; mine: TermContent } | null>(null);
  const { content } = term;
  const here = useSettledHere(content);
  const { put } = useShelf();
  const toShelf = async () => {
    const { text: name } = describeTerm(content);
    const item = {
      name: name.slice(0, 300),
      contents: [content],
      origin: term.origin,
      source: `the lane ${lane.name}`.slice(0, 500),
    };
    if (!(await put(item))) return;
    await remove(term);
    onClose();
  };
  const vocabularies = useVocabularies();
  const ownVocabulary =
    content.kind === 'heading' ? vocabularies.find(({ id }) => id === content.vocabulary) : undefined;

  const save = async (changed: TermContent) => {
    const failed = await change(term, changed);
    setProblem(failed === null ? null : { problem: failed, mine: changed });
  };
  const spellOut = async (contents: readonly TermContent[]) => {
    const [first, ...others] = contents;
    if (first === undefined) return;
    await save(first);
    await add(lane.id, others, 'proposed');
  };

  return (
    <Inspector
      label="Term"
      over={content.kind === 'heading' ? (ownVocabulary?.name ?? 'Heading') : 'Words'}
      title={describeTerm(content).text}
      onClose={onClose}
    >
      {problem !== null && (
        <Conflict
          term={term}
          problem={problem.problem}
          mine={problem.mine}
          onDone={(failed) => setProblem(failed === null ? null : { problem: failed, mine: problem.mine })}
        />
      )}
      {content.kind === 'heading' ? (
        <HeadingOptions
          termId={term.id}
          laneId={lane.id}
          content={content}
          onChange={(changed) => void save(changed)}
        />
      ) : (
        <WordsOptions content={content} onChange={(changed) => void save(changed)} />
      )}
      <dl className="grid grid-cols-[1fr_auto] gap-y-1">
        <dt>finds</dt>
        <dd>
          <Count hits={count?.hits ?? null} error={count?.error ?? null} />
        </dd>
        <dt>
          adds to the lane{' '}
          <GuideLink to="concepts#finds-and-adds" label="Why: what finds and adds mean, in the guide">
            why
          </GuideLink>
        </dt>
        <dd>
          <Count hits={count?.adds ?? null} error={count?.error ?? null} />
        </dd>
      </dl>
      {count?.error != null && (
        <p className={`text-sm ${here?.kind === 'open' ? '' : 'problem'}`}>{count.error}</p>
      )}
      <div className="flex flex-wrap gap-2">
        <HoldBack key={term.heldBack ?? (askWhyHeld ? 'asking' : '')} term={term} asksWhy={askWhyHeld} />
        <button
          className="btn btn-sm btn-quiet"
          onClick={() => {
            void remove(term);
            onClose();
          }}
        >
          <Trash2 className="h-4 w-4" aria-hidden="true" /> Take out of the lane
        </button>
        <MoveTo term={term} lane={lane} />
        <button
          className="btn btn-sm btn-quiet"
          onClick={() => {
            void toShelf();
          }}
        >
          Put on the shelf
        </button>
      </div>
      {content.kind === 'heading' ? (
        <HeadingPlace vocabulary={content.vocabulary} label={content.label} lane={lane} />
      ) : (
        <>
          <Endings
            key={content.text}
            content={content}
            onChange={(changed) => void save(changed)}
            onSpellOut={(contents) => void spellOut(contents)}
          />
          <Variants term={term} content={content} lane={lane} />
        </>
      )}
      <SampleRecords content={content} />
    </Inspector>
  );
}

function MoveTo({ term, lane }: { term: ReviewTerm; lane: ReviewLane }) {
  const { review } = useReview();
  const { move } = useTermEdits();
  const others = lanesOfReview(review).filter(({ id }) => id !== lane.id);
  if (others.length === 0) return null;
  return (
    <ChoiceMenu
      label="Move to another lane"
      text="Move to …"
      choices={others}
      onChoose={(laneId) => void move(term, laneId)}
    />
  );
}

/** Somebody else changed the term meanwhile: theirs and mine, and which to take. */
function Conflict({
  term,
  problem,
  mine,
  onDone,
}: {
  term: ReviewTerm;
  problem: Problem;
  mine: TermContent;
  onDone: (failed: Problem | null) => void;
}) {
  const { change } = useTermEdits();
  const theirs = problem.status === 412 ? (problem.current as ReviewTerm) : null;
  const inWords = (content: TermContent) => {
    const { text, marks } = describeTerm(content);
    return `${text} (${marks.join(', ')})`;
  };
  return (
    <EditConflict
      problem={problem}
      theirs={
        theirs !== null && (
          <>
            Theirs: {inWords(theirs.content)}
            <br />
            Yours: {inWords(mine)}
          </>
        )
      }
      onKeepMine={() => void change({ ...term, version: theirs?.version ?? term.version }, mine).then(onDone)}
      onTakeTheirs={() => onDone(null)}
    />
  );
}
