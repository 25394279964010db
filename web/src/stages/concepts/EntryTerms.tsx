import type { Heading } from '@even-lantern/core';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { wordsContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';
import { useTermEdits } from '../../review/useTermEdits.js';

/** The heading's names as words: records without headings are found by nothing else. */
export function EntryTerms({ heading, lane }: { heading: Heading; lane: ReviewLane }) {
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
