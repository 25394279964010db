import { elementShape, type ElementKey } from '@even-lantern/core';

/** The letter of an element, or a sign for a further concept; the letter, not the tint, identifies it. */
export function ElementTile({ element }: { element: ElementKey | null }) {
  const { name, letter } =
    element === null ? { name: 'Further concept', letter: '+' } : elementShape(element);
  return (
    <span
      title={name}
      className="inline-flex h-6 w-6 shrink-0 items-center justify-center rounded text-xs font-bold"
      style={{ background: `var(--tint-${element ?? 'further'})` }}
    >
      {letter}
    </span>
  );
}
