const LONGEST_TEXT = 5000;

/** A place to write the question in one's own words, or to paste a paragraph; it is taken apart below. */
export function WriteQuestion({
  draft,
  onChange,
  onClear,
  focused,
}: {
  draft: string;
  onChange: (draft: string) => void;
  onClear: () => void;
  /** whether somebody has just asked for it */
  focused: boolean;
}) {
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor="own-words" className="small-head">
        Write it as you would say it, or paste a paragraph; its concepts appear below
      </label>
      <textarea
        id="own-words"
        autoFocus={focused}
        className="textarea min-h-16 w-full font-serif text-lg leading-snug"
        rows={2}
        maxLength={LONGEST_TEXT}
        value={draft}
        placeholder="such as: hand massage for pain on the first evening in older people after surgery"
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') event.currentTarget.blur();
        }}
      />
      {draft.length >= LONGEST_TEXT && (
        <p role="alert" className="problem text-xs">
          Only the first {LONGEST_TEXT} characters are taken. Take a shorter part.
        </p>
      )}
      {draft !== '' && (
        <button className="link self-start text-xs" onClick={onClear}>
          Put this text away
        </button>
      )}
    </div>
  );
}
