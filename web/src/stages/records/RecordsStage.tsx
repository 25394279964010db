import { formatCount, RECORD_FORMATS } from '@even-lantern/core';
import { DECISIONS, type Decision, type RecordSort } from '@even-lantern/contract';
import { Download } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useKey } from '../../parts/keys/useKey.js';
import { useDispatch } from 'react-redux';
import { Link, useSearchParams } from 'react-router';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { decideOn } from '../../review/decide.js';
import type { store } from '../../review/api/store.js';
import { useUndo } from '../../review/undo.js';
import { useReview } from '../../review/useReview.js';
import { useNarrowScreen } from '../../parts/useNarrowScreen.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { NarrowByDesign } from './NarrowByDesign.js';
import { ReadingPane } from './ReadingPane.js';
import { RecordList } from './RecordList.js';
import { useRecordDesigns } from './useRecordDesigns.js';
import { useRecordPages } from './useRecordPages.js';

const SORTS: readonly [RecordSort, string][] = [
  ['relevance', 'most relevant first'],
  ['newest', 'newest first'],
  ['oldest', 'oldest first'],
];

/** The reading desk: narrowing, list, reading pane; decisions with one key. */
export function RecordsStage() {
  const { review } = useReview();
  const [params, setParams] = useSearchParams();
  const sort = SORTS.find(([name]) => name === params.get('sort'))?.[0] ?? 'relevance';
  const decision = DECISIONS.find((each) => each === params.get('decision')) ?? 'any';
  const designs = useRecordDesigns(review.id);
  const design = params.get('design');
  const pages = useRecordPages(
    review.id,
    sort,
    decision,
    design === null ? null : { design, total: designs.numberOf(design, decision) },
  );
  const dispatch = useDispatch<typeof store.dispatch>();
  const deciding = useRef(new Set<string>());
  const narrow = useNarrowScreen();
  const { remember } = useUndo();
  const openId = params.get('record') ?? pages.row(0)?.id ?? null;
  const position = pages.positionOf(openId);

  const set = (changes: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(changes)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    setParams(next, { replace: true });
  };
  const openAt = (at: number) => {
    const row = pages.row(at);
    if (row !== undefined) set({ record: row.id });
    else pages.need(at);
  };
  const step = (by: number) => {
    if (position !== null) openAt(Math.max(0, Math.min(pages.total - 1, position + by)));
  };
  const judge = async (next: Decision) => {
    const row = position === null ? undefined : pages.row(position);
    // A key that is pressed twice decides once: the second would be on a version that has gone.
    if (row === undefined || position === null || deciding.current.has(row.id)) return;
    const before = row.decision;
    // Under a narrowing the record leaves the list, so the next one moves up to its place.
    const following = pages.row(position + 1) ?? pages.row(position - 1);
    deciding.current.add(row.id);
    const { decided, problem } = await dispatch(decideOn(review.id, row, next)).finally(() =>
      deciding.current.delete(row.id),
    );
    if (problem !== null || decided === null) {
      const meanwhile =
        decided === null ? problem?.detail : `It is “${decided.decision}” now. Decide again if you disagree.`;
      toast.error(problem?.title ?? '', { description: meanwhile });
      return;
    }
    const doing = { kind: 'decide', review: review.id, record: row.id, design: row.design } as const;
    remember({
      what: `${next}: ${row.title}`,
      undo: { ...doing, from: next, to: before },
      redo: { ...doing, from: before, to: next },
    });
    if (next !== 'undecided' && following !== undefined) set({ record: following.id });
  };
  useKey('records.next', () => step(1));
  useKey('records.previous', () => step(-1));
  useKey('records.keep', () => void judge('keep'));
  useKey('records.unsure', () => void judge('unsure'));
  useKey('records.set-aside', () => void judge('set aside'));
  useKey('records.undecided', () => void judge('undecided'));
  useEffect(() => {
    if (position !== null) pages.need(position + 1);
  }, [position, pages]);

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
        <h1 className="text-[17px] font-bold">Records</h1>
        <p>No records yet. They arrive when you run and log a strategy.</p>
        <Link className="btn btn-primary" to="../searches" relative="path">
          Go to Searches
        </Link>
      </div>
    );
  }
  return (
    <div className="flex h-full min-h-0 max-md:flex-col">
      <aside
        aria-label="Narrow"
        className="rule flex w-[168px] shrink-0 flex-col gap-3 overflow-y-auto border-r px-3 py-3 max-md:w-auto max-md:flex-row max-md:border-r-0 max-md:border-b"
      >
        <fieldset>
          <legend className="small-head pb-1">Decision</legend>
          {(['any', ...DECISIONS] as const).map((each) => (
            <label
              key={each}
              className={`flex cursor-pointer items-center justify-between gap-2 py-0.5 ${decision === each ? 'font-bold' : ''}`}
            >
              <span className="flex items-center gap-2">
                <input
                  type="radio"
                  name="decision"
                  className="radio radio-xs"
                  checked={decision === each}
                  onChange={() => set({ decision: each === 'any' ? null : each, record: null })}
                />
                {each}
              </span>
              <span className="count">{formatCount(each === 'any' ? all : (pages.counts?.[each] ?? 0))}</span>
            </label>
          ))}
        </fieldset>
        <NarrowByDesign
          designs={designs}
          decision={decision}
          chosen={design}
          onChoose={(next) => set({ design: next, record: null })}
        />
        <label className="flex flex-col gap-1">
          <span className="small-head">Order</span>
          <select
            className="select select-sm w-full"
            value={sort}
            onChange={(event) => set({ sort: event.target.value, record: null })}
          >
            {SORTS.map(([name, label]) => (
              <option key={name} value={name}>
                {label}
              </option>
            ))}
          </select>
        </label>
        <section className="flex flex-col gap-2 max-md:hidden">
          <h2 className="small-head">Kept records, exported</h2>
          {RECORD_FORMATS.map(({ id, name, extension }) => (
            <a
              key={id}
              className="btn btn-sm btn-quiet justify-start"
              href={`/api/reviews/${review.id}/kept.${extension}`}
              download
            >
              <Download className="h-4 w-4" aria-hidden="true" /> {name}
            </a>
          ))}
        </section>
      </aside>
      <Group key={String(narrow)} orientation={narrow ? 'vertical' : 'horizontal'} className="min-h-0 flex-1">
        <Panel defaultSize="44%" minSize="25%">
          <div className="flex h-full min-h-0 flex-col">
            <div className="flex items-baseline gap-3 px-4 pt-3 pb-2">
              <h1 className="text-[17px] font-bold">Records</h1>
              <p className="quiet count" data-testid="position">
                {position === null
                  ? formatCount(pages.total)
                  : `${formatCount(position + 1)} of ${formatCount(pages.total)}`}
              </p>
            </div>
            {pages.total === 0 ? (
              <p className="quiet px-4">
                {design === null ? 'No record has this decision.' : 'No record has this decision and design.'}
              </p>
            ) : (
              <RecordList
                pages={pages}
                openId={openId}
                onOpen={(id) => set({ record: id })}
                position={position}
              />
            )}
          </div>
        </Panel>
        <Separator
          className={`bg-[var(--rule)] ${narrow ? 'h-[3px]' : 'w-[3px]'}`}
          aria-label="Size of the list"
        />
        <Panel defaultSize="56%" minSize="30%">
          {openId !== null && pages.total > 0 && (
            <ReadingPane id={openId} onDecide={(next) => void judge(next)} />
          )}
        </Panel>
      </Group>
    </div>
  );
}
