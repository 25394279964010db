import { formatCount } from '@even-lantern/core';
import { createContext, useContext, useEffect, useRef, useState } from 'react';

const SHOWN_MS = 6000;

/** What counts come from: a number that another database gives has not moved. */
export const CountSource = createContext<string | null>(null);

/** The value before the last change, for a while after it changed; null otherwise. */
export function useMovedFrom(value: number | null): number | null {
  const source = useContext(CountSource);
  const last = useRef(value);
  const lastSource = useRef(source);
  const [movedFrom, setMovedFrom] = useState<number | null>(null);
  useEffect(() => {
    if (source !== lastSource.current) {
      lastSource.current = source;
      last.current = value;
      setMovedFrom(null);
      return;
    }
    if (value === null || value === last.current) return;
    const before = last.current;
    last.current = value;
    if (before === null) return;
    setMovedFrom(before);
    const timer = setTimeout(() => setMovedFrom(null), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [value, source]);
  return movedFrom;
}

/** A count. What just moved is amber and says what it was. */
export function Count({
  hits,
  error = null,
  className = '',
}: {
  hits: number | null;
  error?: string | null;
  className?: string;
}) {
  const movedFrom = useMovedFrom(hits);
  if (hits === null) {
    return (
      <span className={`count ${className}`} title={error ?? undefined}>
        {error === null ? '…' : '—'}
      </span>
    );
  }
  return (
    <span className={`count ${movedFrom !== null ? 'moved' : ''} ${className}`}>
      {formatCount(hits)}
      {movedFrom !== null && <span className="text-xs font-normal"> was {formatCount(movedFrom)}</span>}
    </span>
  );
}
