import type { DatabaseProfile, RehearsedLine, ReviewOwnLine } from '@even-lantern/contract';
import { format } from 'date-fns';
import { useId, useMemo, useState } from 'react';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { lineNames, ownLineName } from '../lines/sheetLines.js';
import { OwnLineActions } from './OwnLineActions.js';
import { OwnText } from './OwnText.js';
import { RoleChoice } from './RoleChoice.js';
import { usersOf } from './usersOf.js';

interface OwnLinePaneProps {
  own: ReviewOwnLine;
  ownLines: readonly ReviewOwnLine[];
  lines: readonly RehearsedLine[];
  database: DatabaseProfile;
  /** whether the text takes the focus */
  writing: boolean;
  /** asked to be taken away, though others use it */
  leaving: boolean;
  onLeave: () => void;
  onStay: () => void;
  onRemoved: () => void;
}

/** A line of one’s own: what part it takes, its text, its note, and what can be done with it. */
export function OwnLinePane(props: OwnLinePaneProps) {
  const { own, ownLines, lines, database, writing, leaving, onLeave, onStay, onRemoved } = props;
  const edits = useOwnLineEdits();
  const names = useMemo(() => lineNames(lines), [lines]);
  const name = ownLineName(own, names);
  const users = usersOf(own, ownLines).map((each) => ownLineName(each, names));
  const [note, setNote] = useState(own.note);
  const noteId = useId();
  const remove = () => {
    void edits.remove(own, name);
    onRemoved();
  };
  return (
    <section aria-label="Line of your own" className="flex flex-col gap-3">
      <RoleChoice own={own} />
      <OwnText
        key={own.id}
        own={own}
        names={names}
        count={lines.length}
        database={database}
        focus={writing}
      />
      <div>
        <label htmlFor={noteId} className="small-head">
          Note
        </label>
        <input
          id={noteId}
          className="input input-sm w-full"
          value={note}
          maxLength={1000}
          placeholder="such as: too many animals"
          onChange={({ target }) => setNote(target.value)}
          onBlur={() => {
            if (note.trim() !== own.note) void edits.change(own, { note });
          }}
          onKeyDown={({ key, currentTarget }) => {
            if (key === 'Enter' || key === 'Escape') currentTarget.blur();
          }}
        />
      </div>
      {leaving && users.length > 0 && (
        <div role="alert" className="border-warning flex flex-col gap-1 border-l-[3px] pl-2">
          <p>
            {users.join(' and ')} {users.length === 1 ? 'uses' : 'use'} this line and could not be counted
            without it.
          </p>
          <p className="flex gap-2">
            <button className="btn btn-sm btn-quiet" onClick={remove}>
              Take it away all the same
            </button>
            <button className="btn btn-sm btn-primary" onClick={onStay} autoFocus>
              Leave it
            </button>
          </p>
        </div>
      )}
      <OwnLineActions
        own={own}
        ownLines={ownLines}
        names={names}
        onTakeAway={() => (users.length > 0 ? onLeave() : remove())}
      />
      {users.length > 0 && !leaving && <p className="quiet text-xs">Used by {users.join(', ')}.</p>}
      <p className="quiet text-xs">
        Changed by {own.changedBy}, {format(new Date(own.changedAt), 'd MMM yyyy HH:mm')}.
      </p>
    </section>
  );
}
