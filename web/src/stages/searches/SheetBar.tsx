import type { DatabaseProfile, StrategyTotal } from '@even-lantern/contract';
import { SheetTabs } from './sheet/SheetTabs.js';
import { StrategyMenu } from './StrategyMenu.js';

interface SheetBarProps {
  databases: readonly DatabaseProfile[];
  totals: readonly (StrategyTotal | undefined)[];
  database: DatabaseProfile | null;
  onChoose: (id: string) => void;
  inPeerReview: boolean;
  /** open comments of peer reviews, by their places */
  openComments: ReadonlyMap<string, number>;
  onPeerReview: () => void;
  onPaste: () => void;
}

/** The databases’ sheets as tabs with their totals, and what is done with the strategy as a whole. */
export function SheetBar({
  databases,
  totals,
  database,
  onChoose,
  inPeerReview,
  openComments,
  onPeerReview,
  onPaste,
}: SheetBarProps) {
  const open = [...openComments.values()].reduce((a, b) => a + b, 0);
  return (
    <div className="rule flex items-end gap-3 border-b">
      <SheetTabs databases={databases} totals={totals} chosen={database?.id ?? null} onChoose={onChoose} />
      <span className="ml-auto flex shrink-0 items-center gap-2 self-center">
        <button className="btn btn-xs btn-quiet" aria-pressed={inPeerReview} onClick={onPeerReview}>
          Peer review
          {open > 0 && `, ${open} open`} <kbd className="font-mono font-normal">P</kbd>
        </button>
        <StrategyMenu database={database} onPaste={onPaste} />
      </span>
    </div>
  );
}
