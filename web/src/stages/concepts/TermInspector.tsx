import { describeTerm, parsePhrase, type SearchField, type TermContent } from '@even-lantern/core';
import type { Problem, ReviewTerm, TermCount } from '@even-lantern/contract';
import { Trash2, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { api } from '../../app/api.js';
import { useReview } from '../../app/useReview.js';
import { Count } from '../../parts/Count.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { HeadingFacts } from './HeadingFacts.js';
import { useTermEdits } from './useTermEdits.js';

const FIELDS: readonly [SearchField, string][] = [
  ['words', 'title, abstract, keywords'],
  ['title', 'title only'],
  ['abstract', 'abstract only'],
  ['keywords', 'keywords only'],
  ['headings', 'words in headings'],
  ['author', 'author'],
  ['journal', 'journal'],
];

const DISTANCES = [1, 2, 3, 4, 5, 8, 10, 15];

/** Beside the lanes: what the selected term is, its counts, and what can be done with it. */
export function TermInspector({
  term,
  count,
  onClose,
}: {
  term: ReviewTerm;
  count: TermCount | undefined;
  onClose: () => void;
}) {
  const { database } = useReview();
  const { change, remove, refresh } = useTermEdits();
  const [problem, setProblem] = useState<{ problem: Problem; mine: TermContent } | null>(null);

  const save = async (content: TermContent) => {
    const failed = await change(term, content);
    setProblem(failed === null ? null : { problem: failed, mine: content });
  };
  const theirs = problem?.problem.status === 412 ? (problem.problem.current as ReviewTerm) : null;

  return (
    <aside
      aria-label="Term"
      className="rule bg-base-100 flex w-[316px] shrink-0 flex-col gap-3 overflow-y-auto border-l px-4 py-3 max-md:fixed max-md:inset-0 max-md:z-30 max-md:w-auto"
    >
      <div className="flex items-start justify-between gap-2">
        <div className="min-w-0">
          <p className="small-head">
            {term.content.kind === 'heading' ? database?.vocabulary?.name : 'Words'}
          </p>
          <h2 className="text-lg leading-tight font-bold break-words">{describeTerm(term.content).text}</h2>
        </div>
        <button className="btn btn-ghost btn-xs btn-square" onClick={onClose} aria-label="Close">
          <X className="h-4 w-4" />
        </button>
      </div>
      {problem !== null && (
        <ProblemNote problem={problem.problem}>
          {theirs !== null && (
            <span className="flex flex-col gap-2 pt-1">
              <span className="text-base-content">
                Theirs: {describeTerm(theirs.content).text} ({describeTerm(theirs.content).marks.join(', ')})
                <br />
                Yours: {describeTerm(problem.mine).text} ({describeTerm(problem.mine).marks.join(', ')})
              </span>
              <span className="flex gap-2">
                <button
                  className="btn btn-sm btn-quiet"
                  onClick={() =>
                    void change(
                      { ...term, version: theirs.version, content: theirs.content },
                      problem.mine,
                    ).then((failed) =>
                      setProblem(failed === null ? null : { problem: failed, mine: problem.mine }),
                    )
                  }
                >
                  Keep mine
                </button>
                <button
                  className="btn btn-sm btn-quiet"
                  onClick={() => {
                    setProblem(null);
                    void refresh();
                  }}
                >
                  Take theirs
                </button>
              </span>
            </span>
          )}
        </ProblemNote>
      )}
      {term.content.kind === 'heading' ? (
        <HeadingOptions content={term.content} onChange={(content) => void save(content)} />
      ) : (
        <WordsOptions content={term.content} onChange={(content) => void save(content)} />
      )}
      <dl className="grid grid-cols-[1fr_auto] gap-y-1">
        <dt>finds</dt>
        <dd>
          <Count hits={count?.hits ?? null} error={count?.error ?? null} />
        </dd>
        <dt>adds to the lane</dt>
        <dd>
          <Count hits={count?.adds ?? null} error={count?.error ?? null} />
        </dd>
      </dl>
      {count?.error != null && <p className="problem text-sm">{count.error}</p>}
      <button
        className="btn btn-sm btn-quiet self-start"
        onClick={() => {
          void remove(term);
          onClose();
        }}
      >
        <Trash2 className="h-4 w-4" aria-hidden="true" /> Take out of the lane
      </button>
      {term.content.kind === 'heading' && <HeadingFacts label={term.content.label} />}
    </aside>
  );
}

function HeadingOptions({
  content,
  onChange,
}: {
  content: Extract<TermContent, { kind: 'heading' }>;
  onChange: (content: TermContent) => void;
}) {
  const { database } = useReview();
  const { data } = api.useHeadingQuery(
    { database: database?.id ?? '', label: content.label },
    { skip: database === null },
  );
  const toggle = (name: string) =>
    content.subheadings.includes(name)
      ? content.subheadings.filter((each) => each !== name)
      : [...content.subheadings, name];
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="small-head pb-1">How it is searched</legend>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={content.narrower}
          onChange={(event) => onChange({ ...content, narrower: event.target.checked })}
        />
        with narrower
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={content.central}
          onChange={(event) => onChange({ ...content, central: event.target.checked })}
        />
        central
      </label>
      {(data?.heading.subheadings.length ?? 0) > 0 && (
        <details>
          <summary className="cursor-pointer">
            {content.subheadings.length === 0
              ? 'any subheading or none'
              : `subheading ${content.subheadings.join(' or ')}`}
          </summary>
          <div className="flex flex-col gap-1 pt-1 pl-4">
            {data?.heading.subheadings.map((name) => (
              <label key={name} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={content.subheadings.includes(name)}
                  onChange={() => onChange({ ...content, subheadings: toggle(name) })}
                />
                {name}
              </label>
            ))}
          </div>
        </details>
      )}
    </fieldset>
  );
}

function WordsOptions({
  content,
  onChange,
}: {
  content: Extract<TermContent, { kind: 'words' }>;
  onChange: (content: TermContent) => void;
}) {
  const [text, setText] = useState(content.text);
  useEffect(() => setText(content.text), [content.text]);
  const phrase = parsePhrase(text);
  const save = () => {
    if (text !== content.text && text.trim() !== '') onChange({ ...content, text });
  };
  return (
    <div className="flex flex-col gap-2">
      <label className="flex flex-col gap-1">
        <span className="small-head">Words</span>
        <input
          className="input w-full font-mono text-[13px]"
          value={text}
          aria-invalid={!phrase.ok}
          onChange={(event) => setText(event.target.value)}
          onBlur={save}
          onKeyDown={(event) => {
            if (event.key === 'Enter') save();
            if (event.key === 'Escape') setText(content.text);
          }}
        />
      </label>
      {!phrase.ok && (
        <p className="problem text-sm" role="alert">
          {phrase.error.message}
        </p>
      )}
      <p className="quiet text-xs">* stands for any ending, ? for one unknown letter.</p>
      {phrase.ok && phrase.phrase.length > 1 && (
        <label className="flex flex-col gap-1">
          <span className="small-head">Together</span>
          <select
            className="select select-sm w-full"
            value={content.near ?? ''}
            onChange={(event) =>
              onChange({ ...content, near: event.target.value === '' ? null : Number(event.target.value) })
            }
          >
            <option value="">as a phrase</option>
            {DISTANCES.map((distance) => (
              <option key={distance} value={distance}>
                within {distance} word{distance === 1 ? '' : 's'} of each other
              </option>
            ))}
          </select>
        </label>
      )}
      <label className="flex flex-col gap-1">
        <span className="small-head">Looked for in</span>
        <select
          className="select select-sm w-full"
          value={content.field}
          onChange={(event) => onChange({ ...content, field: event.target.value as SearchField })}
        >
          {FIELDS.map(([field, name]) => (
            <option key={field} value={field}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
