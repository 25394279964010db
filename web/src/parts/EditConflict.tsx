import type { Problem } from '@even-lantern/contract';
import type { ReactNode } from 'react';
import { ProblemNote } from './ProblemNote.js';

interface EditConflictProps {
  problem: Problem;
  /** what somebody else has made of it; shown where that is the trouble */
  theirs: ReactNode;
  onKeepMine: () => void;
  onTakeTheirs: () => void;
}

/** An edit that was not kept: somebody else was quicker, and one chooses whose it is to be; or it is tried again. */
export function EditConflict({ problem, theirs, onKeepMine, onTakeTheirs }: EditConflictProps) {
  return (
    <ProblemNote problem={problem}>
      {problem.status === 412 ? (
        <span className="flex flex-col gap-2 pt-1">
          <span className="text-base-content break-words">{theirs}</span>
          <span className="flex gap-2">
            <button className="btn btn-sm btn-quiet" onClick={onKeepMine}>
              Keep mine
            </button>
            <button className="btn btn-sm btn-quiet" onClick={onTakeTheirs}>
              Take theirs
            </button>
          </span>
        </span>
      ) : (
        <button className="btn btn-sm btn-quiet mt-1" onClick={onKeepMine}>
          Try again
        </button>
      )}
    </ProblemNote>
  );
}
