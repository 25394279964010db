import {
  DESIGN_FILTERS,
  filterPhrases,
  phraseProblem,
  type OwnWords as OwnWordsOf,
  type ValuesChosen,
} from '@even-lantern/core';
import { useFollowing } from '../../../parts/useFollowing.js';
import { onKeys } from '../../../parts/keys/useKey.js';
import { SaveFilter, TakeFilter } from './SavedFilters.js';

/** A design filter of one's own: the words that find the design, one on a line, beginning with those of the program. */
export function OwnWords({
  values,
  onChange,
}: {
  values: ValuesChosen;
  onChange: (values: ValuesChosen) => void;
}) {
  const { words, strength = 'balanced' } = values;
  if (words === undefined) {
    const begin = () => {
      const filters = values.values.flatMap(
        (value) => DESIGN_FILTERS.find(({ design }) => design === value) ?? [],
      );
      const phrases = filters.map((filter) => filterPhrases(filter, strength));
      onChange({
        ...values,
        words: {
          any: [...new Set(phrases.flatMap(({ any }) => any))],
          // What speaks against one design may be another of those that are wanted.
          without: phrases.length === 1 ? (phrases[0]?.without ?? []) : [],
        },
      });
    };
    return (
      <div className="flex flex-wrap items-center gap-3">
        <button className="link text-sm" disabled={values.values.length === 0} onClick={begin}>
          Change its words
        </button>
        <TakeFilter values={values} onChange={onChange} />
      </div>
    );
  }
  const { words: _words, ...filter } = values;
  // Words that were changed are no longer those of the filter they came from.
  const put = (changed: Partial<OwnWordsOf>) => {
    const from = words.from === undefined ? {} : { from: { ...words.from, changed: true } };
    onChange({ ...values, words: { ...words, ...changed, ...from } });
  };
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="small-head pb-1">Words of your own, one on a line</legend>
      <Phrases label="Any of these" phrases={words.any} onChange={(any) => put({ any })} />
      <Phrases label="None of these" phrases={words.without} onChange={(without) => put({ without })} />
      <p className="quiet text-xs">
        Put a phrase in quotation marks; * stands for any ending; title: before a word searches titles only.{' '}
        <kbd className="font-mono">Ctrl Enter</kbd> measures them; below you see what they find that the
        filter does not, and the reverse.
      </p>
      <SaveFilter values={values} words={words} onChange={onChange} />
      <button className="link self-start text-sm" onClick={() => onChange(filter)}>
        Back to the filter of the program
      </button>
    </fieldset>
  );
}

/** Saved when one leaves them, unless a line cannot be read. */
function Phrases({
  label,
  phrases,
  onChange,
}: {
  label: string;
  phrases: readonly string[];
  onChange: (phrases: string[]) => void;
}) {
  const { text, setText, send } = useFollowing(phrases.join('\n'));
  const lines = text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const problem = lines.map(phraseProblem).find((each) => each !== null) ?? null;
  const commit = () => {
    if (problem !== null || lines.join('\n') === phrases.join('\n')) return;
    send(lines.join('\n'));
    onChange(lines);
  };
  return (
    <label className="flex flex-col gap-0.5">
      <span className="text-xs">{label}</span>
      <textarea
        className="textarea textarea-sm w-full font-mono text-xs"
        rows={4}
        value={text}
        aria-invalid={problem !== null}
        onChange={({ target }) => setText(target.value)}
        onBlur={commit}
        onKeyDown={onKeys({ 'limits.measure': commit })}
      />
      {problem !== null && <span className="problem text-xs">{problem}</span>}
    </label>
  );
}
