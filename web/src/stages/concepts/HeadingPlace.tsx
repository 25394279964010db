import {
  directlyBelow,
  headingByLabel,
  pathsTo,
  type Heading,
  type VocabularyTree,
} from '@even-lantern/core';
import { ArrowLeft } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useReview } from '../../review/useReview.js';
import { useVocabulary } from '../../review/useVocabulary.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';
import { OtherVocabularies } from '../../review/OtherVocabularies.js';
import { useTermEdits } from '../../review/useTermEdits.js';

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

type Go = (label: string) => void;

function Paths({ tree, heading, onGo }: { tree: VocabularyTree; heading: Heading; onGo: Go }) {
  const paths = pathsTo(tree, heading);
  return (
    <section>
      <h4 className="small-head">In the tree{paths.length > 1 ? `, ${paths.length} places` : ''}</h4>
      {paths.map((path) => (
        <p key={path.map(({ label }) => label).join('/')}>
          {path.slice(0, -1).map(({ label }) => (
            <span key={label} className="quiet">
              <button className="cursor-pointer hover:underline" onClick={() => onGo(label)}>
                {label}
              </button>{' '}
              ›{' '}
            </span>
          ))}
          <b>{heading.label}</b>
        </p>
      ))}
    </section>
  );
}

/** What lies below, beside and around; several can be added at once. */
function Neighbours({
  tree,
  heading,
  lane,
  onGo,
}: {
  tree: VocabularyTree;
  heading: Heading;
  lane: ReviewLane;
  onGo: Go;
}) {
  const { add } = useTermEdits();
  const [ticked, setTicked] = useState<string[]>([]);
  useEffect(() => setTicked([]), [heading]);
  const vocabulary = tree.vocabulary.id;
  const groups = useMemo(() => {
    const below = directlyBelow(tree, heading).map(({ label }) => label);
    const beside = heading.broader
      .flatMap((label) => {
        const above = headingByLabel(tree, label);
        return above === null ? [] : directlyBelow(tree, above).map((each) => each.label);
      })
      .filter((label) => label !== heading.label && !heading.related.includes(label));
    return [
      { name: 'Directly below', labels: below },
      { name: 'Related', labels: heading.related },
      { name: 'Beside it', labels: [...new Set(beside)].sort((a, b) => a.localeCompare(b, 'en')) },
    ].filter(({ labels }) => labels.length > 0);
  }, [tree, heading]);
  const labels = groups.flatMap((group) => group.labels);
  const contents = labels.map((label) => headingContent(vocabulary, label));
  const { counts } = useCandidates(contents, { laneId: lane.id });
  const inLane = new Set(
    lane.terms.flatMap(({ content }) =>
      content.kind === 'heading' && content.vocabulary === vocabulary ? [content.label] : [],
    ),
  );
  let at = 0;
  return (
    <>
      {groups.map(({ name, labels: group }) => (
        <section key={name}>
          <h4 className="small-head">{name}</h4>
          <ul>
            {group.map((label) => {
              const count = counts?.[at];
              at += 1;
              return (
                <li key={label} className="flex items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    aria-label={`Add ${label}`}
                    disabled={inLane.has(label)}
                    checked={ticked.includes(label) || inLane.has(label)}
                    onChange={() =>
                      setTicked(
                        ticked.includes(label) ? ticked.filter((each) => each !== label) : [...ticked, label],
                      )
                    }
                  />
                  <button
                    className="flex-1 cursor-pointer text-left hover:underline"
                    onClick={() => onGo(label)}
                  >
                    {label}
                  </button>
                  {inLane.has(label) ? (
                    <span className="quiet text-xs">in the lane</span>
                  ) : (
                    <Numbers count={count} />
                  )}
                </li>
              );
            })}
          </ul>
        </section>
      ))}
      {ticked.length > 0 && (
        <button
          className="btn btn-sm btn-primary self-start"
          onClick={() => {
            void add(
              lane.id,
              ticked.map((label) => headingContent(vocabulary, label)),
              'lookup',
            );
            setTicked([]);
          }}
        >
          Add {ticked.length === 1 ? ticked[0] : `${ticked.length} headings`} to the lane
        </button>
      )}
    </>
  );
}

/** The heading's names as words: records without headings are found by nothing else. */
function EntryTerms({ heading, lane }: { heading: Heading; lane: ReviewLane }) {
  const { add } = useTermEdits();
  const names = [heading.label, ...heading.entryTerms];
  const contents = names.map((name) => wordsContent(asPhrase(name)));
  const { counts } = useCandidates(contents, { laneId: lane.id });
  const present = new Set(
    lane.terms.flatMap(({ content }) => (content.kind === 'words' ? [content.text.toLowerCase()] : [])),
  );
  return (
    <section>
      <h4 className="small-head">Its names, as words</h4>
      <ul>
        {contents.map((content, i) => (
          <li key={content.text} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 break-words">{names[i]}</span>
            <Numbers count={counts?.[i]} />
            {present.has(content.text.toLowerCase()) ? (
              <span className="quiet w-14 text-right text-xs">in lane</span>
            ) : (
              <button
                className="btn btn-xs btn-quiet w-14"
                aria-label={`Add the words ${names[i]}`}
                disabled={counts?.[i]?.hits === 0}
                onClick={() => void add(lane.id, content, 'proposed')}
              >
                Add
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function asPhrase(name: string): string {
  return /[^\p{L}\p{N}]/u.test(name) ? `"${name.replaceAll('"', '')}"` : name;
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
