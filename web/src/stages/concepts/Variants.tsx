import {
  apartVariants,
  headingByLabel,
  parsePhrase,
  textKey,
  variantsOf,
  type Variant,
} from '@even-lantern/core';
import type { ReviewTerm } from '@even-lantern/contract';
import { useMemo, useState } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useVocabulary } from '../../review/useVocabulary.js';
import { wordsContent, type WordsContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';
import { useTermEdits } from '../../review/useTermEdits.js';

/** Other ways in which authors write a term: those that this database holds, with what each finds and adds. */
export function Variants({
  term,
  content,
  lane,
}: {
  term: ReviewTerm;
  content: WordsContent;
  lane: ReviewLane;
}) {
  const tree = useVocabulary();
  const { add } = useTermEdits();
  const [all, setAll] = useState(false);
  const variants = useMemo((): Variant[] => {
    const parsed = parsePhrase(content.text);
    const typed = parsed.ok ? parsed.phrase.map(({ text }) => text).join(' ') : '';
    const own = tree === null ? null : headingByLabel(tree, typed);
    const headings = [...(own === null ? [] : [own]), ...(tree?.byEntryTerm.get(textKey(typed)) ?? [])];
    const names = headings.flatMap((heading) => [heading.label, ...heading.entryTerms]);
    return [...variantsOf(content.text, names), ...apartVariants(content.text)].filter(
      ({ near }) => near === null || content.near === null,
    );
  }, [content, tree]);
  const contents = useMemo(
    () => variants.map(({ text, near }) => ({ ...wordsContent(text, near), field: content.field })),
    [variants, content.field],
  );
  const { counts } = useCandidates(contents, { laneId: lane.id });
  const present = new Set(
    lane.terms.map((each) =>
      each.content.kind === 'words' ? keyOf(each.content.text, each.content.near) : '',
    ),
  );
  const shown = variants
    .map((variant, i) => ({ variant, content: contents[i], count: counts?.[i] }))
    .filter(({ variant }) => !present.has(keyOf(variant.text, variant.near)))
    // Ways of writing apart are guesses: those that nobody uses are not even told.
    .filter(({ variant, count }) => variant.reason !== 'written apart' || (count?.hits ?? 0) > 0);
  const found = shown.filter(({ count }) => count === undefined || (count.hits ?? 0) > 0);
  if (shown.length === 0) return null;
  return (
    <section aria-label={`Other ways to write ${term.id}`}>
      <h3 className="small-head">Other ways authors write it</h3>
      <ul>
        {(all ? shown : found).map(({ variant, content: other, count }) => (
          <li key={keyOf(variant.text, variant.near)} className="flex items-center gap-2 py-0.5">
            <span className="min-w-0 flex-1">
              <span className="font-mono text-[0.78125rem] break-words">{variant.text}</span>
              <span className="quiet block text-xs">
                {variant.near === null ? variant.reason : `within ${variant.near} words of each other`}
              </span>
            </span>
            <Numbers count={count} />
            <button
              className="btn btn-xs btn-quiet"
              aria-label={`Add ${variant.text}`}
              onClick={() => other !== undefined && void add(lane.id, other, 'proposed')}
            >
              Add
            </button>
          </li>
        ))}
      </ul>
      {found.length < shown.length && (
        <button className="link text-xs" onClick={() => setAll(!all)}>
          {all ? 'Hide' : 'Show'} the {shown.length - found.length} that find nothing
        </button>
      )}
    </section>
  );
}

function keyOf(text: string, near: number | null): string {
  return `${textKey(text)}${text.includes('*') ? '*' : ''}|${near ?? ''}`;
}
