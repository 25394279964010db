import { parsePhrase, sameTerm, type BibRecord, type TermContent } from '@even-lantern/core';
import { useEffect, useMemo, useState, type RefObject } from 'react';
import { toast } from 'sonner';
import { lanesOfReview } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useShelf } from '../../review/useShelf.js';
import { useReview } from '../../review/useReview.js';
import { useSettled } from '../../review/useSettled.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';
import { useTermEdits } from '../../review/useTermEdits.js';

const LONGEST_MARKED = 100;
const COUNT_AFTER_MS = 250;

interface Found {
  name: string;
  from: string;
  content: TermContent;
}

/** Headings, keywords and marked words of a record as terms for a lane, with what each would add there. */
export function TakeFromRecord({
  record,
  container,
}: {
  record: BibRecord;
  /** where words can be marked */
  container: RefObject<HTMLElement | null>;
}) {
  const { review } = useReview();
  const lanes = lanesOfReview(review);
  const [laneId, setLaneId] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const lane = lanes.find(({ id }) => id === laneId) ?? lanes[0];
  if (lane === undefined) return null;
  return (
    <details
      className="rule border-t pt-2"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="cursor-pointer text-sm">Take words and headings of this record into a lane</summary>
      {open && (
        <div className="flex flex-col gap-2 pt-2">
          <div className="flex flex-wrap items-center gap-2 text-sm">
            <span>
              Into the lane <b>{lane.name}</b>
            </span>
            {lanes.length > 1 && (
              <ChoiceMenu
                label="Lane to take them into"
                text="Another lane"
                className="btn-xs"
                choices={lanes.map(({ id, name }) => ({ id, name }))}
                chosen={lane.id}
                onChoose={setLaneId}
              />
            )}
          </div>
          <Offers record={record} container={container} laneId={lane.id} />
          <p className="quiet text-xs">Mark words in the text above to take them too.</p>
        </div>
      )}
    </details>
  );
}

function Offers({
  record,
  container,
  laneId,
}: {
  record: BibRecord;
  container: RefObject<HTMLElement | null>;
  laneId: string;
}) {
  const { review } = useReview();
  const { add } = useTermEdits();
  const { put } = useShelf();
  const marked = useMarked(container);
  const found = useMemo((): Found[] => {
    const words = (name: string, from: string): Found[] =>
      parsePhrase(quoted(name)).ok ? [{ name, from, content: wordsContent(quoted(name)) }] : [];
    return [
      ...(marked === '' ? [] : words(marked, 'marked')),
      ...record.headings.map(({ vocabulary, label }) => ({
        name: label,
        from: 'heading',
        content: headingContent(vocabulary, label),
      })),
      ...record.keywords.flatMap((keyword) => words(keyword, 'keyword')),
    ];
  }, [record, marked]);
  const contents = useMemo(() => found.map(({ content }) => content), [found]);
  const settled = useSettled(contents, COUNT_AFTER_MS);
  const { counts } = useCandidates(settled, { laneId });
  const terms = review.lanes.find(({ id }) => id === laneId)?.terms ?? [];
  const take = async ({ name, content }: Found) => {
    const failed = await add(laneId, content, 'record');
    if (failed === null) toast(`Added ${name}. Ctrl Z takes it out again.`);
    else toast.error(failed);
  };
  return (
    <ul className="flex flex-col" aria-label="What can be taken">
      {found.map((each, i) => {
        const there = terms.some(({ content }) => sameTerm(content, each.content));
        return (
          <li
            key={`${each.from} ${each.name}`}
            className="rule flex items-baseline gap-2 border-b py-1 text-sm"
          >
            <span className="quiet w-16 shrink-0 text-xs">{each.from}</span>
            <span className="min-w-0 flex-1 break-words">{each.name}</span>
            <Numbers count={settled === contents ? counts?.[i] : undefined} />
            {there ? (
              <span className="quiet text-xs">in the lane</span>
            ) : (
              <span className="flex gap-1">
                <button
                  className="btn btn-xs btn-quiet"
                  aria-label={`Add ${each.name}`}
                  onClick={() => void take(each)}
                >
                  Add
                </button>
                <button
                  className="btn btn-xs btn-ghost"
                  aria-label={`Put ${each.name} on the shelf`}
                  onClick={() =>
                    void put({
                      name: each.name.slice(0, 300),
                      contents: [each.content],
                      origin: 'record',
                      source: `${each.from} of “${record.title}”`.slice(0, 500),
                    })
                  }
                >
                  Shelf
                </button>
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function quoted(text: string): string {
  const plain = text.replaceAll('"', ' ').replace(/\s+/g, ' ').trim();
  return plain.includes(' ') ? `"${plain}"` : plain;
}

/** The words that somebody has marked within an element; the last ones stay while a button is pressed. */
function useMarked(container: RefObject<HTMLElement | null>): string {
  const [marked, setMarked] = useState('');
  useEffect(() => {
    const read = () => {
      const selection = document.getSelection();
      const text = selection?.toString().trim() ?? '';
      const node = selection?.anchorNode ?? null;
      if (text === '' || text.length > LONGEST_MARKED || node === null) return;
      if (container.current?.contains(node) === true) setMarked(text);
    };
    document.addEventListener('selectionchange', read);
    return () => document.removeEventListener('selectionchange', read);
  }, [container]);
  return marked;
}
