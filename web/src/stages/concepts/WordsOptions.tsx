import { counted, namedField, parsePhrase, type TermField } from '@even-lantern/core';
import { useEffect, useRef, useState } from 'react';
import type { WordsContent } from '../../review/headingContent.js';

const FIELDS: readonly TermField[] = [
  'words',
  'title',
  'withHeadings',
  'everything',
  'abstract',
  'keywords',
  'headings',
  'author',
  'journal',
  'fulltext',
];

const DISTANCES = [1, 2, 3, 4, 5, 8, 10, 15];

/** The words of a term, how they stand together, and where they are looked for. */
export function WordsOptions({
  content,
  onChange,
}: {
  content: WordsContent;
  onChange: (content: WordsContent) => void;
}) {
  const [text, setText] = useState(content.text);
  // What was tried once is not tried again by leaving the field, since somebody else may have been quicker.
  const tried = useRef(content.text);
  useEffect(() => {
    tried.current = content.text;
    setText(content.text);
  }, [content.text]);
  const phrase = parsePhrase(text);
  const save = (again: boolean) => {
    if (text === (again ? content.text : tried.current) || text.trim() === '') return;
    tried.current = text;
    onChange({ ...content, text });
  };
  return (
    <div className="flex flex-col gap-2">
      <label className="flex flex-col gap-1">
        <span className="small-head">Words</span>
        <input
          className="input w-full font-mono text-[0.8125rem]"
          value={text}
          aria-invalid={!phrase.ok}
          onChange={(event) => setText(event.target.value)}
          onBlur={() => save(false)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') save(true);
            if (event.key === 'Escape') {
              tried.current = content.text;
              setText(content.text);
            }
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
                within {counted(distance, 'word')} of each other
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
          onChange={(event) => onChange({ ...content, field: event.target.value as TermField })}
        >
          {FIELDS.map((field) => (
            <option key={field} value={field}>
              {namedField(field)}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
