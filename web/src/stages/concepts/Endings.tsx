import {
  bestCut,
  commonestWord,
  counted,
  cutsOf,
  formatCount,
  parsePhrase,
  printPhrase,
  type Cut,
  type WordPattern,
} from '@even-lantern/core';
import { useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useReview } from '../../review/useReview.js';
import type { WordsContent } from '../../review/headingContent.js';

/** So many letters are never cut off, since too many words begin with fewer. */
const FEWEST_LETTERS = 4;
const SHOWN = 30;
/** How far beyond the present cut another is offered. */
const MOST_AHEAD = 3;

interface EndingsProps {
  content: WordsContent;
  onChange: (content: WordsContent) => void;
  /** replaces the term by several, each a word as it is */
  onSpellOut: (contents: WordsContent[]) => void;
}

/** Where the last word can be cut, and every word that each cut brings in. */
export function Endings({ content, onChange, onSpellOut }: EndingsProps) {
  const { database } = useReview();
  const [open, setOpen] = useState(false);
  const parsed = parsePhrase(content.text);
  const phrase = parsed.ok ? parsed.phrase : [];
  const last = phrase.at(-1);
  const cuttable = last !== undefined && !last.text.includes('?') && last.text.length >= FEWEST_LETTERS;
  // A shorter stem than the one in use must be within reach too.
  const begins = cuttable ? last.text.slice(0, Math.max(FEWEST_LETTERS, last.text.length - 3)) : '';
  const { currentData, error } = databaseApi.useWordsQuery(
    { database: database?.id ?? '', begins },
    { skip: !open || !cuttable || database === null },
  );
  if (!cuttable) return null;
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="small-head cursor-pointer">
        Endings of “{last.text}
        {last.anyEnding ? '*' : ''}”
      </summary>
      {error !== undefined && <p className="problem text-sm">{problemOf(error).title}</p>}
      {currentData === undefined && error === undefined && <p className="quiet">Listing the words …</p>}
      {currentData !== undefined && (
        <CutChoice
          cuts={cutsOf(
            last.anyEnding ? commonestWord(last.text, currentData.words) : last.text,
            currentData.words,
          ).filter(
            ({ stem }) => stem.length >= begins.length && stem.length <= last.text.length + MOST_AHEAD,
          )}
          last={last}
          more={currentData.more}
          onCut={(pattern) => onChange({ ...content, text: written([...phrase.slice(0, -1), pattern]) })}
          onSpellOut={(words) =>
            onSpellOut(
              words.map((text) => ({
                ...content,
                text: written([...phrase.slice(0, -1), { text, anyEnding: false }]),
              })),
            )
          }
        />
      )}
    </details>
  );
}

function written(phrase: readonly WordPattern[]): string {
  return phrase.length > 1 ? `"${printPhrase(phrase)}"` : printPhrase(phrase);
}

interface CutChoiceProps {
  cuts: readonly Cut[];
  last: WordPattern;
  more: boolean;
  onCut: (pattern: WordPattern) => void;
  onSpellOut: (words: string[]) => void;
}

function CutChoice({ cuts, last, more, onCut, onSpellOut }: CutChoiceProps) {
  const best = bestCut(cuts);
  const [stem, setStem] = useState(last.anyEnding ? last.text : (best?.stem ?? last.text));
  const cut = cuts.find((each) => each.stem === stem) ?? cuts[0];
  if (cut === undefined) return null;
  const strangers = cut.words.filter(({ kin }) => !kin);
  const kin = cut.words.filter((word) => word.kin);
  const set = last.anyEnding && last.text === stem;
  return (
    <div className="flex flex-col gap-2 pt-1">
      <div role="radiogroup" aria-label="Where to cut" className="flex flex-wrap gap-1">
        {[...cuts].reverse().map((each) => (
          <label
            key={each.stem}
            className={`rule cursor-pointer rounded border px-1.5 font-mono text-[0.75rem] ${each.stem === stem ? 'bg-base-content text-base-100' : ''}`}
          >
            <input
              type="radio"
              name="cut"
              className="sr-only"
              checked={each.stem === stem}
              onChange={() => setStem(each.stem)}
            />
            {each.stem}*
          </label>
        ))}
      </div>
      {best !== null && best.stem !== stem && (
        <p className="quiet text-xs">
          Best place by the words in this database:{' '}
          <button className="link font-mono" onClick={() => setStem(best.stem)}>
            {best.stem}*
          </button>
        </p>
      )}
      <p className="text-xs">
        <b>{cut.stem}*</b> brings in {counted(cut.words.length, 'word')}
        {strangers.length > 0 && (
          <>
            , <b className="problem">{strangers.length} of them perhaps not meant</b>
          </>
        )}
        {more && ', and more that are not listed'}.
      </p>
      <ul className="max-h-48 overflow-y-auto" tabIndex={0} aria-label="Words that the cut brings in">
        {[...strangers, ...kin].slice(0, SHOWN).map(({ word, hits, kin: sameStem }) => (
          <li key={word} className="flex justify-between gap-2 font-mono text-[0.75rem]">
            <span className={sameStem ? '' : 'problem'}>
              {sameStem ? '' : '? '}
              {word}
            </span>
            <span className="count">{formatCount(hits)}</span>
          </li>
        ))}
      </ul>
      {cut.words.length > SHOWN && <p className="quiet text-xs">and {cut.words.length - SHOWN} rarer ones</p>}
      <div className="flex flex-wrap gap-2">
        <button
          className="btn btn-xs btn-quiet"
          disabled={set}
          onClick={() => onCut({ text: stem, anyEnding: true })}
        >
          {set ? 'Cut here now' : `Cut to ${stem}*`}
        </button>
        {kin.length > 0 && kin.length <= SHOWN && (
          <button className="btn btn-xs btn-quiet" onClick={() => onSpellOut(kin.map(({ word }) => word))}>
            Spell out the {kin.length} meant
          </button>
        )}
      </div>
    </div>
  );
}
