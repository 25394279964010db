import type { PastedStrategy } from './usePastedStrategy.js';

/** The lines that cannot be read, where and why, and those that refer to them. */
export function UnreadLines({ wrong, following }: PastedStrategy) {
  if (wrong.length === 0) return null;
  return (
    <ul aria-label="Lines that cannot be read" className="flex flex-col gap-1 text-sm">
      {wrong.map(({ number, text, error: why }) => (
        <li key={number} className="problem">
          <span className="font-mono text-xs">
            {number} {text.slice(0, 60)}
          </span>{' '}
          At {(why?.at ?? 0) + 1}: {why?.message}
        </li>
      ))}
      {following.length > 0 && (
        <li className="quiet">
          {following.length === 1 ? 'Line' : 'Lines'} {following.join(', ')}{' '}
          {following.length === 1 ? 'refers' : 'refer'} to what cannot be read.
        </li>
      )}
    </ul>
  );
}
