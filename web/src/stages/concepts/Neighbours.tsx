import {
  directlyBelow,
  headingByLabel,
  pathsTo,
  type Heading,
  type VocabularyTree,
} from '@even-lantern/core';
import { useEffect, useMemo, useState } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { headingContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';
import { useTermEdits } from '../../review/useTermEdits.js';

export type Go = (label: string) => void;

export function Paths({ tree, heading, onGo }: { tree: VocabularyTree; heading: Heading; onGo: Go }) {
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
export function Neighbours({
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
