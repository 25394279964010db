import type { KeyboardEvent } from 'react';

/**
 * For rows that hold the focus one at a time: `↑` and `↓` go to the row before and after. A row may hold the element
 * that takes the focus, or take it itself.
 */
export function focusNeighbour(event: KeyboardEvent<HTMLElement>): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (step === undefined || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return;
  // While a row is being moved, the arrows move it.
  if (event.target instanceof Element && event.target.closest('[data-grip]') !== null) return;
  const row = event.currentTarget;
  const rows = [...(row.parentElement?.children ?? [])].filter(
    (each): each is HTMLElement => each instanceof HTMLElement,
  );
  const next = rows[rows.indexOf(row) + step];
  if (next === undefined) return;
  event.preventDefault();
  (next.tabIndex >= 0 || next.hasAttribute('tabindex') ? next : next.querySelector('button'))?.focus();
}
