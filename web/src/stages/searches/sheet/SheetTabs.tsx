import { formatCount } from '@even-lantern/core';
import type { DatabaseProfile, StrategyTotal } from '@even-lantern/contract';
import { TriangleAlert } from 'lucide-react';
import { useRef, type KeyboardEvent } from 'react';
import { useKey } from '../../../parts/keys/useKey.js';

interface SheetTabsProps {
  databases: readonly DatabaseProfile[];
  /** their counts, in their order; undefined for one that has not come yet */
  totals: readonly (StrategyTotal | undefined)[];
  chosen: string | null;
  onChoose: (id: string) => void;
}

/** The sheets of all databases, each with what the strategy finds there. */
export function SheetTabs({ databases, totals, chosen, onChoose }: SheetTabsProps) {
  const list = useRef<HTMLDivElement>(null);
  useKey('searches.sheet', ({ key }) => {
    const database = databases[Number(key) - 1];
    if (database !== undefined) onChoose(database.id);
  });
  const keys = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    const at = databases.findIndex(({ id }) => id === chosen);
    const next = databases[(at + step + databases.length) % databases.length];
    if (next === undefined) return;
    event.preventDefault();
    onChoose(next.id);
    list.current?.querySelector<HTMLElement>(`[data-sheet="${CSS.escape(next.id)}"]`)?.focus();
  };
  return (
    <div
      ref={list}
      role="tablist"
      aria-label="Sheets"
      className="flex min-w-0 gap-1 overflow-x-auto overflow-y-hidden"
      onKeyDown={keys}
    >
      {databases.map(({ id, name, state }, i) => {
        const total = totals[i];
        const open = total?.problems.filter(({ aside }) => aside !== true).length ?? 0;
        const selected = id === chosen;
        return (
          <button
            key={id}
            role="tab"
            data-sheet={id}
            aria-selected={selected}
            tabIndex={selected ? 0 : -1}
            title={i < 9 ? `${name} (${i + 1})` : name}
            className={`flex shrink-0 cursor-pointer items-baseline gap-1.5 border-b-2 px-3 py-1.5 ${
              selected ? 'border-b-base-content font-bold' : 'border-b-transparent'
            }`}
            onClick={() => onChoose(id)}
          >
            {shortName(name)}
            <span className={`count ${selected ? '' : 'quiet'}`}>
              {total === undefined
                ? state === 'away'
                  ? '—'
                  : '…'
                : total.remains.hits === null
                  ? '—'
                  : formatCount(total.remains.hits)}
            </span>
            {open > 0 && <span className="quiet text-xs font-normal">{open} to settle</span>}
            {state === 'away' && (
              <TriangleAlert className="problem h-3 w-3 self-center" aria-label="does not answer" />
            )}
          </button>
        );
      })}
    </div>
  );
}

/** The first word of a database’s name, which is what people call it. */
function shortName(name: string): string {
  return name.split(/\s/, 1)[0] ?? name;
}
