import { useRef } from 'react';

export const LONGEST_TEXT = 5000;

/** A place to write the question in one's own words, or to paste a paragraph; it is taken apart below. */
export function WriteQuestion({
  draft,
  onChange,
  onClear,
}: {
  draft: string;
  onChange: (draft: string) => void;
  onClear: (() => void) | null;
}) {
  const field = useRef<HTMLTextAreaElement>(null);
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor="own-words" className="small-head">
        Write it as you would say it, or paste a paragraph; it is taken apart below
      </label>
      <textarea
        ref={field}
        id="own-words"
        data-own-words
        className="textarea min-h-16 w-full font-serif text-lg leading-snug"
        rows={2}
        maxLength={LONGEST_TEXT}
        value={draft}
        placeholder="such as: hand massage for pain on the first evening in older people after surgery"
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') field.current?.blur();
        }}
      />
      {draft.length >= LONGEST_TEXT && (
        <p role="alert" className="problem text-xs">
          Only the first {LONGEST_TEXT} characters are taken. Take a shorter part.
        </p>
      )}
      {draft !== '' && onClear !== null && (
        <button className="link self-start text-xs" onClick={onClear}>
          Put this text away
        </button>
      )}
    </div>
  );
}
