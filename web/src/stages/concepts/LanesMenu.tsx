import { counted, type LanesDocument } from '@even-lantern/core';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { laneApi } from '../../review/api/laneApi.js';
import { useReview } from '../../review/useReview.js';
import { FileLink } from '../../parts/FileLink.js';
import { FilesMenu, ReadJson } from '../../parts/FilesMenu.js';

/** Lanes and vocabulary as files in open forms, out and in. */
export function LanesMenu() {
  const { review, database } = useReview();
  const [readLanes] = laneApi.useReadLanesMutation();
  const read = async (lanes: unknown) => {
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
    <FilesMenu className="self-center">
      <li className="small-head px-2">Lanes</li>
      <FileLink href={`${base}.json`} name="JSON, to be read back" />
      <FileLink href={`${base}.csv`} name="CSV table" />
      <FileLink href={`${base}.md`} name="Markdown document" />
      <ReadJson text="Read lanes from JSON …" what="lanes" onRead={(lanes) => void read(lanes)} />
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
    </FilesMenu>
  );
}
