import type { DatabaseProfile, LimitDraft, Rung } from '@even-lantern/contract';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useSortableRow } from '../../../parts/Sortable.js';
import { useDesigns } from '../../../review/useDesigns.js';
import { OfRung } from './OfRung.js';

interface RungRowProps {
  rung: Rung;
  databases: readonly DatabaseProfile[];
  /** all limits with those that are tried; undefined where none is tried */
  tried: LimitDraft[] | undefined;
  /** whether it is this one that was just moved */
  moved: boolean;
  canMove: { up: boolean; down: boolean };
  onAnswers: () => void;
  onMove: (by: -1 | 1) => void;
}

/** What a rung is known by: no design stands on two of them. */
export function rungId({ designs }: Rung): string {
  return designs.join();
}

/** A rung of the ladder: its designs, how many of each there are, and its place. */
export function RungRow({ rung, databases, tried, moved, canMove, onAnswers, onMove }: RungRowProps) {
  const designs = useDesigns();
  const { row, grip } = useSortableRow(rungId(rung), rung.designs[0] ?? '');
  return (
    <tr {...row} className={`rule border-b align-top ${moved ? 'bg-[var(--live)]' : ''} ${row.className}`}>
      <th scope="row" className="p-2 text-left font-normal">
        <span className={rung.answers ? 'font-bold' : ''}>
          {rung.designs.map((design, i) => (
            <span key={design} title={designs?.definitionOf(design)}>
              {i > 0 && ', '}
              {design}
            </span>
          ))}
        </span>
        {rung.reason !== '' && <span className="quiet block text-xs">because {rung.reason}</span>}
        <label className="flex cursor-pointer items-center gap-1.5 text-xs">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={rung.answers}
            onChange={onAnswers}
          />
          answers the question
        </label>
      </th>
      {databases.map(({ id }) => (
        <td key={id} className="p-2 text-right">
          <OfRung database={id} designs={rung.designs} tried={tried} />
        </td>
      ))}
      <td className="p-2 whitespace-nowrap">
        {grip}
        <button
          className="btn btn-ghost btn-xs btn-square"
          disabled={!canMove.up}
          aria-label={`Move ${rung.designs[0] ?? ''} up the ladder`}
          onClick={() => onMove(-1)}
        >
          <ArrowUp className="h-3.5 w-3.5" aria-hidden="true" />
        </button>
        <button
          className="btn btn-ghost btn-xs btn-square"
          disabled={!canMove.down}
          aria-label={`Move ${rung.designs[0] ?? ''} down the ladder`}
          onClick={() => onMove(1)}
        >
          <ArrowDown className="h-3.5 w-3.5" aria-hidden="true" />
        </button>
      </td>
    </tr>
  );
}
