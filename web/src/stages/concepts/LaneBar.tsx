import { formatCount } from '@even-lantern/core';
import { GuideLink } from '../../parts/GuideLink.js';
import type { LaneCounts } from '@even-lantern/contract';

/** What the lane finds by headings only, by both, and by words only: one bar with its numbers. */
export function LaneBar({ counts }: { counts: LaneCounts }) {
  const { headingsOnly, both, wordsOnly, awaitingHeadings } = counts;
  if (headingsOnly === null || both === null || wordsOnly === null) return null;
  const all = headingsOnly + both + wordsOnly;
  if (all === 0) return null;
  const parts = [
    { name: 'headings', title: 'found by headings only', hits: headingsOnly, color: 'var(--bar-headings)' },
    { name: 'both', title: 'found by headings and by words', hits: both, color: 'var(--bar-both)' },
    { name: 'words', title: 'found by words only', hits: wordsOnly, color: 'var(--bar-words)' },
  ];
  return (
    <div className="pb-2 text-xs">
      <div className="flex h-2 gap-px overflow-hidden rounded" aria-hidden="true">
        {parts
          .filter(({ hits }) => hits > 0)
          .map(({ name, hits, color }) => (
            <span key={name} style={{ flexGrow: hits, background: color }} />
          ))}
      </div>
      <dl
        className="flex justify-between gap-x-1 pt-1 max-md:text-xs @max-[190px]:text-[0.6875rem]"
        aria-label="Found by headings only, by both, and by words only"
      >
        {parts.map(({ name, title, hits, color }) => (
          <div key={name} title={title}>
            <dt className="quiet flex items-center gap-1 leading-tight">
              <span
                className="hidden h-2 w-2 shrink-0 rounded-sm @min-[190px]:inline-block"
                style={{ background: color }}
                aria-hidden="true"
              />
              {name}
            </dt>
            <dd className="count text-left">{formatCount(hits)}</dd>
          </div>
        ))}
      </dl>
      {whatItCosts(counts) !== null && (
        <p className="quiet pt-1 leading-snug">
          {whatItCosts(counts)}{' '}
          <GuideLink
            to="concepts#headings-and-words-together"
            label="Why headings and words together, in the guide"
          >
            why
          </GuideLink>
        </p>
      )}
      {awaitingHeadings !== null && awaitingHeadings > 0 && headingsOnly + both > 0 && (
        <p className="quiet hidden pt-1 leading-snug @min-[190px]:block">
          {formatCount(awaitingHeadings)} of those found by words only have no headings yet.
        </p>
      )}
    </div>
  );
}

/** What a lane of one kind of term gives away. */
export function whatItCosts({ headingsOnly, both, wordsOnly, awaitingHeadings }: LaneCounts): string | null {
  if (wordsOnly === 0 && both === 0 && headingsOnly !== 0) {
    return 'Headings only: you miss the newest records, which have no headings yet. Add words.';
  }
  if (headingsOnly === 0 && both === 0 && wordsOnly !== 0) {
    const waiting =
      awaitingHeadings === null ? '' : ` Of these, ${formatCount(awaitingHeadings)} have no headings yet.`;
    return `Words only: you miss records whose authors put it differently. Add a heading.${waiting}`;
  }
  return null;
}
