import { ROLE_NAMES } from '@even-lantern/core';
import type { PastedStrategy } from './usePastedStrategy.js';

/** The lines that become lines of one’s own; one that refers to what is not taken cannot be taken. */
export function PastedOwnLines({ arranged, lines, fits, takesLine, takeLine }: PastedStrategy) {
  if (arranged.ownLines.length === 0) return null;
  return (
    <ul aria-label="Lines of your own" className="flex flex-col">
      {arranged.ownLines.map(({ line, role }, i) => (
        <li key={i} className="rule border-b py-1">
          <label className="flex cursor-pointer items-baseline gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs self-center"
              checked={takesLine(i)}
              disabled={fits[i] !== true}
              onChange={({ target }) => takeLine(i, target.checked)}
            />
            <span className="min-w-0 flex-1 truncate font-mono text-xs">
              {line} {lines.find(({ number }) => number === line)?.text}
            </span>
            <span className="quiet text-xs">
              {fits[i] === true ? ROLE_NAMES[role] : 'refers to what is not taken'}
            </span>
          </label>
        </li>
      ))}
    </ul>
  );
}
