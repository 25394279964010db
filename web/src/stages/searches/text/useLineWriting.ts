import type { LineTextChange, Problem, TranslatedLine } from '@even-lantern/contract';
import { useRef } from 'react';
import { problemOf } from '../../../review/api/api.js';
import { strategyApi } from '../../../review/api/strategyApi.js';
import { useAutosave } from '../../../review/useAutosave.js';

type Written = Pick<LineTextChange, 'text' | 'language'>;

/** The text of a line as it is kept; null for what the lanes give. */
type KeptText = Written & { version: number };

/** Saves the text of a line while it is written, each time on the version that the one before has left. */
export function useLineWriting(review: string, database: string, { key, version: present }: TranslatedLine) {
  const [write] = strategyApi.useWriteLineMutation();
  const version = useRef(present);
  return useAutosave<Written>(async (written, over) => {
    const change: LineTextChange = { database, line: key, version: over ?? version.current, ...written };
    const { data, error } = await write({ review, change });
    if (data !== undefined) {
      version.current = data.version;
      return null;
    }
    const problem = problemOf(error);
    // Whichever text a person takes now, the next is made on theirs.
    if (problem.status === 412) version.current = theirsIn(problem).version;
    return problem;
  });
}

/** What somebody else has written, in the answer that refuses one’s own. */
export function theirsIn({ current }: Problem): KeptText {
  return current as KeptText;
}
