import { headingByLabel, type Heading } from '@even-lantern/core';
import { ArrowLeft } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useReview } from '../../review/useReview.js';
import { useVocabulary } from '../../review/useVocabulary.js';
import { headingContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';
import { OtherVocabularies } from '../../review/OtherVocabularies.js';
import { Neighbours, Paths } from './Neighbours.js';
import { EntryTerms } from './EntryTerms.js';

/** A heading among its neighbours: one goes up, down and across from it, and comes back to where one was. */
export function HeadingPlace({
  vocabulary,
  label,
  lane,
}: {
  vocabulary: string;
  label: string;
  lane: ReviewLane;
}) {
  const tree = useVocabulary(vocabulary);
  const { database } = useReview();
  const [visited, setVisited] = useState<string[]>([]);
  useEffect(() => setVisited([]), [label]);
  const here = visited.at(-1) ?? label;
  const heading = tree === null ? null : headingByLabel(tree, here);
  if (tree === null) return <p className="quiet">Fetching the vocabulary …</p>;
  if (heading === null) {
    return (
      <p className="problem">
        “{here}” is not in the present release of the vocabulary. It may have been renamed or withdrawn: look
        the word up again, and take this term out when you have its successor.
      </p>
    );
  }
  const go = (to: string) => setVisited([...visited, to]);
  return (
    <div className="flex flex-col gap-3">
      {visited.length > 0 && (
        <div className="rule bg-base-300 -mx-4 flex flex-col gap-1 border-y px-4 py-2">
          <button
            className="link flex items-center gap-1 text-xs"
            onClick={() => setVisited(visited.slice(0, -1))}
          >
            <ArrowLeft className="h-3.5 w-3.5" aria-hidden="true" /> back to {visited.at(-2) ?? label}
          </button>
          <h3 className="font-bold">{heading.label}</h3>
        </div>
      )}
      {heading.scopeNote !== '' && <p>{heading.scopeNote}</p>}
      {heading.historyNote !== null && <p className="quiet">{heading.historyNote}</p>}
      <Paths tree={tree} heading={heading} onGo={go} />
      <OtherVocabularies vocabulary={vocabulary} label={heading.label} key={`across ${heading.label}`} />
      <Neighbours tree={tree} heading={heading} lane={lane} onGo={go} />
      <EntryTerms heading={heading} lane={lane} key={heading.label} />
      <Counts vocabulary={vocabulary} heading={heading} databaseName={database?.name ?? ''} />
    </div>
  );
}

function Counts({
  vocabulary,
  heading,
  databaseName,
}: {
  vocabulary: string;
  heading: Heading;
  databaseName: string;
}) {
  const contents = useMemo(
    () => [
      headingContent(vocabulary, heading.label, { narrower: false }),
      headingContent(vocabulary, heading.label),
      headingContent(vocabulary, heading.label, { central: true }),
      ...heading.subheadings.map((subheading) =>
        headingContent(vocabulary, heading.label, { narrower: false, subheadings: [subheading] }),
      ),
    ],
    [heading, vocabulary],
  );
  const { counts } = useCandidates(contents, { laneId: null });
  const names = [
    'this heading alone',
    'with narrower',
    'with narrower, central',
    ...heading.subheadings.map((subheading) => `alone, subheading ${subheading}`),
  ];
  return (
    <section>
      <h4 className="small-head">Counts in {databaseName}</h4>
      <dl className="grid grid-cols-[1fr_auto] gap-y-0.5">
        {names.map((name, i) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd>
              <Numbers count={counts?.[i]} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
