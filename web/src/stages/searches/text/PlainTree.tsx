import { plainReading, type PlainReading, type Query } from '@even-lantern/core';

/** What a string means, in plain words. */
export function PlainTree({ query }: { query: Query }) {
  return (
    <ul className="text-sm">
      <Statement reading={plainReading(query)} />
    </ul>
  );
}

function Statement({ reading: { text, parts } }: { reading: PlainReading }) {
  return (
    <li>
      <span className={parts.length > 0 ? 'quiet' : ''}>{text}</span>
      {parts.length > 0 && (
        <ul className="border-l border-[var(--rule)] pl-3">
          {parts.map((part, i) => (
            <Statement key={i} reading={part} />
          ))}
        </ul>
      )}
    </li>
  );
}
