import { counted } from '@even-lantern/core';
import { format } from 'date-fns';
import { questionApi } from '../../review/api/questionApi.js';

/** Earlier wordings of an element, each of which can be taken back. */
export function Wordings({ elementId, onTake }: { elementId: string; onTake: (text: string) => void }) {
  const { data = [] } = questionApi.useWordingsQuery(elementId);
  if (data.length === 0) return null;
  return (
    <details className="text-xs">
      <summary className="quiet cursor-pointer">{counted(data.length, 'earlier wording')}</summary>
      <ul className="flex flex-col gap-1 pt-1">
        {data.map(({ text, at, person }) => (
          <li key={at} className="flex items-start gap-2">
            <span className="min-w-0 flex-1">
              “{text}”
              <span className="quiet block">
                {format(new Date(at), 'd MMM yyyy HH:mm')}, {person}
              </span>
            </span>
            <button type="button" className="btn btn-xs btn-quiet" onClick={() => onTake(text)}>
              Take back
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
