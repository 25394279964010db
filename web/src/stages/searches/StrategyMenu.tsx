import { counted } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { ClipboardPaste, FileDown, FileUp } from 'lucide-react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { ownLineApi } from '../../review/api/ownLineApi.js';
import { useReview } from '../../review/useReview.js';
import { FileLink } from '../../parts/FileLink.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { jsonFrom } from '../../parts/jsonFile.js';

/** The strategy as files in open forms, out and in. */
export function StrategyMenu({
  database,
  onPaste,
}: {
  database: DatabaseProfile | null;
  /** opens where a strategy is pasted */
  onPaste: () => void;
}) {
  const { review } = useReview();
  const [readStrategy] = ownLineApi.useReadStrategyMutation();
  const read = async (file: File) => {
    const strategy = await jsonFrom(file, 'a strategy');
    if (strategy === undefined) return;
    const result = await readStrategy({ review: review.id, strategy });
    if (result.data === undefined) {
      const { title, errors = [] } = problemOf(result.error);
      toast.error(`${errors[0]?.message ?? title} Nothing was added.`);
      return;
    }
    const { terms, present, ownLines, limits } = result.data;
    const more = [counted(ownLines, 'line of your own', 'lines of your own'), counted(limits, 'limit')].join(
      ' and ',
    );
    toast(`Added ${counted(terms, 'term')}, ${more}; ${counted(present, 'term')} were there already.`);
  };
  const base = `/api/reviews/${review.id}/strategy`;
  return (
    <details className="relative shrink-0 text-sm">
      <summary className="btn btn-xs btn-quiet">
        <FileDown className="h-3.5 w-3.5" aria-hidden="true" /> Files
      </summary>
      <ul className="rule bg-base-100 rounded-box absolute right-0 z-20 mt-1 flex w-72 flex-col gap-1 border p-2 shadow-lg">
        <li className="small-head px-2">Strategy</li>
        <FileLink href={`${base}.json`} name="JSON, to be read back" />
        <FileLink href={`${base}.csv`} name="CSV, the sheets of all databases" />
        <FileLink href={`${base}.md`} name="Markdown, the sheets of all databases" />
        {database !== null && (
          <FileLink
            href={`${base}.txt?database=${encodeURIComponent(database.id)}`}
            name={`Text, to paste line by line into ${database.name}`}
          />
        )}
        <li>
          <FilePicker
            label="File of a strategy"
            accept="application/json,.json"
            className="hover:bg-base-300 flex w-full cursor-pointer items-center gap-2 rounded px-2 py-1 text-left"
            onPick={(file) => void read(file)}
          >
            <FileUp className="h-3.5 w-3.5" aria-hidden="true" /> Read a strategy from JSON …
          </FilePicker>
        </li>
        <li>
          <button
            className="hover:bg-base-300 flex w-full cursor-pointer items-center gap-2 rounded px-2 py-1 text-left"
            onClick={(event) => {
              event.currentTarget.closest('details')?.removeAttribute('open');
              onPaste();
            }}
          >
            <ClipboardPaste className="h-3.5 w-3.5" aria-hidden="true" /> Paste a strategy from elsewhere …
          </button>
        </li>
      </ul>
    </details>
  );
}
