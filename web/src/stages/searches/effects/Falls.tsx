import { formatCount, laneKey, ownKey, strategyPicture, type FallPictureStep } from '@even-lantern/core';
import type { DatabaseProfile, Review, StrategyEffects } from '@even-lantern/contract';
import { lanesOfReview } from '../../../review/lanes.js';
import { PictureMenu } from '../../../parts/PictureMenu.js';
import { releaseText } from '../../../parts/release.js';
import { ownLineName, type LineNames } from '../lines/sheetLines.js';

interface FallsProps {
  review: Review;
  database: DatabaseProfile;
  effects: StrategyEffects;
  names: LineNames;
}

/** Where the numbers fall as the parts of a strategy are joined, and what each two lanes have in common. */
export function Falls({ review, database, effects, names }: FallsProps) {
  const { fall, overlaps } = effects;
  if (fall.length === 0) return null;
  const lanes = lanesOfReview(review);
  const steps = fall.map(({ part, alone, hits }, i): FallPictureStep & { part: string } => {
    const lane = lanes.find(({ id }) => laneKey(id) === part);
    const own = review.ownLines.find(({ id }) => ownKey(id) === part);
    const name = lane?.name ?? (own === undefined ? '' : ownLineName(own, names));
    const out = lane?.leftOut === true || own?.role === 'leavesOut';
    const joined = out ? 'without ' : own?.role === 'adds' ? 'or ' : i === 0 ? '' : 'and ';
    return { part, text: joined + name, alone, left: hits };
  });
  const most = Math.max(1, ...steps.flatMap(({ alone, left }) => [alone ?? 0, left ?? 0]));
  const width = (count: number | null) => `${(100 * (count ?? 0)) / most}%`;
  const nameOf = (id: string) => lanes.find((lane) => lane.id === id)?.name ?? '';
  return (
    <section aria-label="Where the numbers fall" className="flex flex-col gap-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="small-head">Where the numbers fall</h2>
        <PictureMenu
          label="Save where the numbers fall as a picture"
          name={`strategy ${database.name}`}
          className="btn-xs"
          picture={() =>
            strategyPicture({
              title: review.title,
              source: `${database.name}, ${releaseText(effects.release)}${database.simulated ? ', simulated' : ''}`,
              steps,
            })
          }
        />
      </div>
      <ol className="flex flex-col gap-1.5">
        {steps.map(({ part, text, alone, left }, i) => (
          <li key={part} className={i === steps.length - 1 ? 'font-bold' : ''}>
            <p className="flex justify-between gap-2 text-sm leading-tight">
              <span className="truncate" title={text}>
                {text}
              </span>
              <span className="count shrink-0">
                {left === null ? '—' : formatCount(left)}
                <span className="quiet text-xs font-normal">
                  {' '}
                  by itself {alone === null ? '—' : formatCount(alone)}
                </span>
              </span>
            </p>
            <span
              aria-hidden="true"
              className="mt-0.5 block h-1 rounded-sm bg-[var(--bar-rest)]"
              style={{ width: width(alone) }}
            />
            <span
              aria-hidden="true"
              className={`block h-2 rounded-sm ${i === steps.length - 1 ? 'bg-base-content' : 'bg-[var(--bar-headings)]'}`}
              style={{ width: width(left) }}
            />
          </li>
        ))}
      </ol>
      {overlaps.length > 0 && (
        <details>
          <summary className="quiet cursor-pointer">What each two lanes have in common</summary>
          <ul className="pt-1">
            {overlaps.map(({ laneIds: [a, b], hits, error }) => (
              <li key={`${a} ${b}`} className="rule flex justify-between gap-3 border-b py-1 text-sm">
                <span>
                  {nameOf(a)} and {nameOf(b)}
                </span>
                <span className="count" title={error ?? undefined}>
                  {hits === null ? '—' : formatCount(hits)}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
