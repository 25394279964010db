import { counted } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { ClipboardPaste } from 'lucide-react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { ownLineApi } from '../../review/api/ownLineApi.js';
import { useReview } from '../../review/useReview.js';
import { FileLink } from '../../parts/FileLink.js';
import { ENTRY, FilesMenu, ReadJson } from '../../parts/FilesMenu.js';

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
  const read = async (strategy: unknown) => {
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
    <FilesMenu className="shrink-0">
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
      <ReadJson
        text="Read a strategy from JSON …"
        what="a strategy"
        onRead={(strategy) => void read(strategy)}
      />
      <li>
        <button className={ENTRY} onClick={onPaste}>
          <ClipboardPaste className="h-3.5 w-3.5" aria-hidden="true" /> Paste a strategy from elsewhere …
        </button>
      </li>
    </FilesMenu>
  );
}
