import { counted } from '@even-lantern/core';

interface JoinLinesProps {
  /** how many lines are chosen */
  count: number;
  onJoin: (operator: 'and' | 'or' | 'not') => void;
  onCancel: () => void;
}

/** While lines are chosen to be joined: what can be made of them. */
export function JoinLines({ count, onJoin, onCancel }: JoinLinesProps) {
  const few = count < 2;
  return (
    <section
      aria-label="Join lines"
      className="border-accent flex flex-wrap items-center gap-2 border-l-[3px] bg-[var(--live)] py-1.5 pl-3"
    >
      <p role="status" className="pr-2">
        {count === 0 ? 'Choose the lines to join.' : `${counted(count, 'line')} chosen.`}
      </p>
      <button className="btn btn-sm btn-quiet" disabled={few} onClick={() => onJoin('and')}>
        What all of them find (AND)
      </button>
      <button className="btn btn-sm btn-quiet" disabled={few} onClick={() => onJoin('or')}>
        What any of them finds (OR)
      </button>
      <button className="btn btn-sm btn-quiet" disabled={few} onClick={() => onJoin('not')}>
        The first without the others (NOT)
      </button>
      <button className="btn btn-sm btn-ghost" onClick={onCancel}>
        Cancel <kbd className="font-mono text-xs font-normal">Esc</kbd>
      </button>
    </section>
  );
}
