import type { TermCount } from '@even-lantern/contract';
import type { TermContent } from '@even-lantern/core';
import { Numbers } from '../../review/Numbers.js';
import type { Row } from './pastedRows.js';

interface PastedRowProps {
  row: Row;
  /** undefined until it is counted */
  count: TermCount | undefined;
  taken: boolean;
  onTurn: () => void;
}

/** A pasted term as it would be added, with why it would not be taken by itself, and what it finds. */
export function PastedRow({ row, count, taken, onTurn }: PastedRowProps) {
  return (
    <li>
      <label className="flex items-start gap-2 py-1">
        <input type="checkbox" className="checkbox checkbox-xs mt-1" checked={taken} onChange={onTurn} />
        <span className="min-w-0 flex-1">
          <RowText content={row.content} />
          {(row.against !== null || row.term.leftOut.length > 0) && (
            <span className="quiet block text-xs">
              {[
                ...(row.against === null ? [] : [row.against]),
                ...(row.term.leftOut.length === 0 ? [] : [`left out: ${row.term.leftOut.join(' ')}`]),
              ].join('; ')}
            </span>
          )}
        </span>
        <Numbers count={count} />
      </label>
    </li>
  );
}

function RowText({ content }: { content: TermContent }) {
  if (content.kind === 'heading') {
    return (
      <>
        <b>{content.label}</b> <span className="quiet text-xs">heading, with narrower</span>
      </>
    );
  }
  return (
    <>
      <span className="font-mono text-[0.78125rem] break-words">{content.text}</span>
      {content.near !== null && <span className="quiet text-xs"> within {content.near} words</span>}
    </>
  );
}
