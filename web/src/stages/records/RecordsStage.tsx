import { formatCount } from '@even-lantern/core';
import { DECISIONS } from '@even-lantern/contract';
import { Link } from 'react-router';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { useNarrowScreen } from '../../parts/useNarrowScreen.js';
import { problemOf } from '../../review/api/api.js';
import { Narrowing } from './Narrowing.js';
import { ReadingPane } from './ReadingPane.js';
import { RecordList } from './RecordList.js';
import { useDesk } from './useDesk.js';

/** The reading desk: narrowing, list, reading pane; decisions with one key. */
export function RecordsStage() {
  const desk = useDesk();
  const { pages, design, openId, position } = desk;
  const narrow = useNarrowScreen();
  const opened = position === null ? undefined : pages.row(position);

  if (pages.error !== undefined) {
    return (
      <div className="p-6">
        <ProblemNote problem={problemOf(pages.error)} />
      </div>
    );
  }
  if (pages.counts === null) return <p className="quiet p-6">Fetching the records …</p>;
  const all = DECISIONS.reduce((sum, each) => sum + (pages.counts?.[each] ?? 0), 0);
  if (all === 0) {
    return (
      <div className="flex flex-col items-start gap-3 p-6">
        <h1 className="text-[1.0625rem] font-bold">Records</h1>
        <p>No records yet. They arrive when you run and log a strategy.</p>
        <Link className="btn btn-primary" to="../searches" relative="path">
          Go to Searches
        </Link>
      </div>
    );
  }
  return (
    <div className="flex h-full min-h-0 max-md:flex-col cramped:h-auto">
      <Narrowing desk={desk} all={all} />
      <Group
        key={String(narrow)}
        orientation={narrow ? 'vertical' : 'horizontal'}
        className="min-h-0 flex-1 cramped:!h-[40rem] cramped:flex-none"
      >
        <Panel defaultSize="44%" minSize="25%">
          <div className="flex h-full min-h-0 flex-col">
            <div className="flex items-baseline gap-3 px-4 pt-3 pb-2">
              <h1 className="text-[1.0625rem] font-bold">Records</h1>
              <p className="quiet count" data-testid="position">
                {position === null
                  ? formatCount(pages.total)
                  : `${formatCount(position + 1)} of ${formatCount(pages.total)}`}
              </p>
            </div>
            {/* The keys go on wherever the focus is, so it is told here which record is open. */}
            <p className="sr-only" aria-live="polite" data-testid="told">
              {position !== null &&
                opened !== undefined &&
                `${position + 1} of ${pages.total}: ${opened.title}`}
            </p>
            {pages.total === 0 ? (
              <p className="quiet px-4">
                {design === null ? 'No record has this decision.' : 'No record has this decision and design.'}
              </p>
            ) : (
              <RecordList pages={pages} openId={openId} onOpen={desk.open} position={position} />
            )}
          </div>
        </Panel>
        <Separator
          className={`bg-[var(--rule)] ${narrow ? 'h-[3px]' : 'w-[3px]'}`}
          aria-label="Size of the list"
        />
        <Panel defaultSize="56%" minSize="30%">
          {openId !== null && pages.total > 0 && <ReadingPane id={openId} onDecide={desk.judge} />}
        </Panel>
      </Group>
    </div>
  );
}
