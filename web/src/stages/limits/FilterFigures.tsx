import { filterFigures, STRENGTH_NAMES, type FilterFigures as Figures, type Share } from '@even-lantern/core';
import type { DatabaseProfile, MeasuredFilter } from '@even-lantern/contract';
import { useDesigns } from '../../app/useDesigns.js';
import { GuideLink } from '../../parts/GuideLink.js';

const WIDTH = 280;
const HEIGHT = 132;
const EDGE = { left: 34, right: 12, top: 12, bottom: 26 };

/** How well labels and words find a design in a database, as it was measured: what is found against what is read for it. */
export function FilterFigures({
  database,
  design,
  chosen,
}: {
  database: DatabaseProfile;
  design: string;
  /** what is applied now: a strength, or the own limit; null for what was not measured */
  chosen: MeasuredFilter['how'] | null;
}) {
  const designs = useDesigns();
  const measured = (designs?.figures ?? []).filter(
    (each) => each.database === database.id && each.design === design,
  );
  const points = measured.flatMap(({ how, counts }) => {
    const figures = filterFigures(counts);
    return figures.sensitivity === null || figures.toRead === null ? [] : [{ how, figures }];
  });
  const [first] = measured;
  if (first === undefined || points.length === 0) {
    return (
      <p className="quiet text-xs">How well it finds {design.toLowerCase()}s here has not been measured.</p>
    );
  }
  const most = Math.max(2, ...points.map(({ figures }) => Math.min(figures.toRead?.to ?? 1, 20)));
  const least = Math.min(0.8, ...points.map(({ figures }) => figures.sensitivity?.from ?? 1));
  // Fewer to read lie to the right, so that the best is where both axes end.
  const x = (toRead: number) =>
    EDGE.left + ((most - Math.min(toRead, most)) / (most - 1)) * (WIDTH - EDGE.left - EDGE.right);
  const y = (found: number) =>
    EDGE.top + ((1 - found) / (1 - least || 1)) * (HEIGHT - EDGE.top - EDGE.bottom);
  return (
    <section className="flex flex-col gap-1">
      <h3 className="small-head">
        {design}: found, against read for each one{' '}
        <GuideLink to="limits#study-design" label="Why: how filters are measured, in the guide">
          why
        </GuideLink>
      </h3>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
        <line x1={EDGE.left} x2={EDGE.left} y1={EDGE.top} y2={HEIGHT - EDGE.bottom} stroke="var(--rule)" />
        <line
          x1={EDGE.left}
          x2={WIDTH - EDGE.right}
          y1={HEIGHT - EDGE.bottom}
          y2={HEIGHT - EDGE.bottom}
          stroke="var(--rule)"
        />
        {[1, least].map((share) => (
          <text
            key={share}
            x={EDGE.left - 4}
            y={y(share) + 3}
            textAnchor="end"
            fontSize={9}
            fill="var(--quiet)"
          >
            {Math.round(100 * share)}%
          </text>
        ))}
        <text x={EDGE.left} y={HEIGHT - 12} fontSize={9} fill="var(--quiet)">
          {most.toFixed(0)}
        </text>
        <text x={WIDTH - EDGE.right} y={HEIGHT - 12} fontSize={9} textAnchor="end" fill="var(--quiet)">
          1
        </text>
        <text x={WIDTH / 2} y={HEIGHT - 2} fontSize={9} textAnchor="middle" fill="var(--quiet)">
          records read for each one wanted
        </text>
        {points.map(({ how, figures: { sensitivity, toRead } }) => {
          if (sensitivity === null || toRead === null) return null;
          const [cx, cy] = [x(toRead.value), y(sensitivity.value)];
          const now = how === chosen;
          const colour = now ? 'var(--color-base-content)' : 'var(--bar-adds)';
          return (
            <g key={how} stroke={colour} fill={colour}>
              <line x1={x(toRead.to)} x2={x(toRead.from)} y1={cy} y2={cy} strokeWidth={1} />
              <line x1={cx} x2={cx} y1={y(sensitivity.to)} y2={y(sensitivity.from)} strokeWidth={1} />
              {how === 'own limit' ? (
                <rect
                  x={cx - 4}
                  y={cy - 4}
                  width={8}
                  height={8}
                  fill={now ? colour : 'var(--color-base-100)'}
                />
              ) : (
                <circle cx={cx} cy={cy} r={now ? 5 : 4} />
              )}
            </g>
          );
        })}
      </svg>
      <table className="w-full text-[11px] [&_td]:whitespace-nowrap">
        <thead className="text-left">
          <tr className="quiet">
            <th scope="col" className="font-normal">
              95% intervals
            </th>
            <th scope="col" className="text-right font-normal">
              found
            </th>
            <th scope="col" className="text-right font-normal">
              right
            </th>
            <th scope="col" className="text-right font-normal">
              to read
            </th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ how, figures }) => (
            <tr key={how} className={how === chosen ? 'font-bold' : ''}>
              <th scope="row" className={`text-left ${how === chosen ? '' : 'font-normal'}`}>
                {how === 'own limit' ? 'own limit' : STRENGTH_NAMES[how].replace('finds ', '')}
              </th>
              <td className="text-right">{percentText(figures.sensitivity)}</td>
              <td className="text-right">{percentText(figures.precision)}</td>
              <td className="count">{toReadText(figures)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet text-xs">Measured on {first.measuredOn}.</p>
    </section>
  );
}

function percentText(share: Share | null): string {
  if (share === null) return '–';
  const whole = (part: number) => Math.round(100 * part);
  return `${whole(share.value)}% (${whole(share.from)}–${whole(share.to)})`;
}

function toReadText({ toRead }: Figures): string {
  return toRead === null ? '–' : toRead.value.toFixed(1);
}
