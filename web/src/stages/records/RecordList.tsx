import { emptyRecord } from '@even-lantern/core';
import type { Decision, RecordRow } from '@even-lantern/contract';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Check, CircleHelp, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Highlighted } from './Highlighted.js';
import { layersFor, useRecordHighlights } from './useLaneHighlights.js';
import type { RecordPages } from './useRecordPages.js';

/** Two lines of title and one below, in the size of text that a person chose. */
const ROW_REM = 4.8125;
const NORMAL_TEXT_PX = 16;

const BLANK = emptyRecord();

interface RecordListProps {
  pages: RecordPages;
  openId: string | null;
  position: number | null;
  onOpen: (id: string) => void;
}

/** The list: only the rows in view exist, so ten thousand scroll as ten do. */
export function RecordList({ pages, openId, position, onOpen }: RecordListProps) {
  const box = useRef<HTMLDivElement>(null);
  const highlightsOf = useRecordHighlights();
  const [rowHeight] = useState(() => ROW_REM * rootTextSize());
  const list = useVirtualizer({
    count: pages.total,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 8,
  });
  const items = list.getVirtualItems();
  const lastShown = items.at(-1)?.index ?? 0;
  const firstShown = items[0]?.index ?? 0;
  const { need } = pages;
  useEffect(() => {
    need(firstShown);
    need(lastShown);
  }, [firstShown, lastShown, need]);
  useEffect(() => {
    if (position !== null) list.scrollToIndex(position, { align: 'auto' });
  }, [position, list]);

  // Only what is in view is there to be named.
  const isDrawn = items.some(({ index }) => pages.row(index)?.id === openId);
  return (
    <div
      ref={box}
      className="min-h-0 flex-1 overflow-y-auto"
      tabIndex={0}
      role="listbox"
      aria-label="Records"
      aria-activedescendant={openId !== null && isDrawn ? optionId(openId) : undefined}
    >
      <div style={{ height: list.getTotalSize(), position: 'relative' }}>
        {items.map(({ index, start }) => {
          const row = pages.row(index);
          const open = row !== undefined && row.id === openId;
          return (
            <div
              key={row?.id ?? index}
              id={row && optionId(row.id)}
              role="option"
              aria-selected={open}
              aria-setsize={pages.total}
              aria-posinset={index + 1}
              onClick={() => row && onOpen(row.id)}
              className={`rule absolute inset-x-0 flex cursor-pointer gap-2 border-b border-l-[3px] px-3 py-2 ${open ? 'bg-base-100 border-l-base-content' : 'border-l-transparent'}`}
              style={{ height: rowHeight, transform: `translateY(${start}px)` }}
            >
              {row === undefined ? (
                <span className="quiet">…</span>
              ) : (
                <>
                  <span className="w-5 shrink-0 pt-0.5">
                    <DecisionMark decision={row.decision} />
                  </span>
                  <span className="min-w-0">
                    <span className="line-clamp-2 pb-[3px] font-serif text-[0.9375rem] leading-[1.3]">
                      <Highlighted
                        text={row.title}
                        layers={layersFor(
                          highlightsOf({ ...BLANK, title: row.title }, row.runId),
                          'title',
                          0,
                        )}
                      />
                    </span>
                    <span className="quiet block truncate text-xs">
                      {row.year}
                      {designText(row)} · {row.journal}
                      {row.publicationTypes
                        .filter((type) => type !== 'Journal article')
                        .map((type) => ` · ${type.toLowerCase()}`)}
                    </span>
                  </span>
                </>
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

const optionId = (recordId: string) => `record-${recordId}`;

/** In pixels. */
function rootTextSize(): number {
  return parseFloat(getComputedStyle(document.documentElement).fontSize) || NORMAL_TEXT_PX;
}

/** The design, unless it is what the database calls it anyway. */
function designText({ design, designJudged, publicationTypes }: RecordRow): string {
  if (design === null || design === '') return '';
  const lower = design.toLowerCase();
  if (designJudged) return ` · ${lower}, as judged`;
  return publicationTypes.some((type) => type.toLowerCase() === lower) ? '' : ` · likely ${lower}`;
}

function DecisionMark({ decision }: { decision: Decision }) {
  switch (decision) {
    case 'keep':
      return <Check className="h-4 w-4" aria-label="kept" />;
    case 'unsure':
      return <CircleHelp className="quiet h-4 w-4" aria-label="unsure" />;
    case 'set aside':
      return <X className="quiet h-4 w-4" aria-label="set aside" />;
    case 'undecided':
      return null;
  }
}
