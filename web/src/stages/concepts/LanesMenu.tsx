import { counted, type LanesDocument } from '@even-lantern/core';
import { FileDown, FileUp } from 'lucide-react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { laneApi } from '../../review/api/laneApi.js';
import { useReview } from '../../review/useReview.js';
import { FileLink } from '../../parts/FileLink.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { jsonFrom } from '../../parts/jsonFile.js';

/** Lanes and vocabulary as files in open forms, out and in. */
export function LanesMenu() {
  const { review, database } = useReview();
  const [readLanes] = laneApi.useReadLanesMutation();
  const read = async (file: File) => {
    const lanes = await jsonFrom(file, 'lanes');
    if (lanes === undefined) return;
    const result = await readLanes({ review: review.id, lanes: lanes as LanesDocument });
    if (result.data === undefined) {
      const { title, errors = [] } = problemOf(result.error);
      toast.error(`${errors[0]?.message ?? title} Nothing was added.`);
      return;
    }
    const { added, present } = result.data;
    toast(`Added ${counted(added, 'term')}; ${present} were there already.`);
  };
  const base = `/api/reviews/${review.id}/lanes`;
  const vocabularyBase = `/api/vocabularies/${encodeURIComponent(database?.vocabulary?.id ?? '')}`;
  return (
    <details className="relative self-center text-sm">
      <summary className="btn btn-xs btn-quiet">
        <FileDown className="h-3.5 w-3.5" aria-hidden="true" /> Files
      </summary>
      <ul className="rule bg-base-100 rounded-box absolute right-0 z-20 mt-1 flex w-64 flex-col gap-1 border p-2 shadow-lg">
        <li className="small-head px-2">Lanes</li>
        <FileLink href={`${base}.json`} name="JSON, to be read back" />
        <FileLink href={`${base}.csv`} name="CSV table" />
        <FileLink href={`${base}.md`} name="Markdown document" />
        <li>
          <FilePicker
            label="File of lanes"
            accept="application/json,.json"
            className="hover:bg-base-300 flex w-full cursor-pointer items-center gap-2 rounded px-2 py-1 text-left"
            onPick={(file) => void read(file)}
          >
            <FileUp className="h-3.5 w-3.5" aria-hidden="true" /> Read lanes from JSON …
          </FilePicker>
        </li>
        {database?.vocabulary != null && (
          <>
            <li className="small-head px-2 pt-1">{database.vocabulary.name}</li>
            <FileLink href={`${vocabularyBase}/turtle`} name="SKOS as Turtle" />
            <FileLink href={`${vocabularyBase}/json-ld`} name="SKOS as JSON-LD" />
          </>
        )}
        <li>
          <Link className="hover:bg-base-300 block rounded px-2 py-1" to="/vocabularies">
            All vocabularies, and reading in more …
          </Link>
        </li>
      </ul>
    </details>
  );
}
