import { useEffect, useState } from 'react';

/** Whether something has been so for a while without a break. */
export function useLasting(isSo: boolean, forMs: number): boolean {
  const [lasting, setLasting] = useState(false);
  useEffect(() => {
    if (!isSo) return;
    const timer = setTimeout(() => setLasting(true), forMs);
    return () => {
      clearTimeout(timer);
      setLasting(false);
    };
  }, [isSo, forMs]);
  return isSo && lasting;
}
