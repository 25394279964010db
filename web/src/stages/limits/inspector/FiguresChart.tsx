import type { FilterFigures as Figures, Strength } from '@even-lantern/core';
import type { ApexOptions } from 'apexcharts';
import { useCallback, useMemo } from 'react';
import { Chart } from '../../../parts/chart/Chart.js';
import type { ThemeColours } from '../../../parts/chart/useThemeColours.js';

/** A strength of the filter, words of one’s own, or the database’s own limit. */
export type How = Strength | 'own words' | 'own limit';

const HEIGHT = 150;
/** Reading more than so many for each one wanted is drawn at the edge. */
const MOST_TO_READ = 20;

interface Point {
  how: How;
  figures: Figures;
}

interface FiguresChartProps {
  points: readonly Point[];
  /** what is applied now */
  chosen: How | null;
}

/**
 * What is found against what is read for it, with the intervals of both. Fewer to read lie to the right, so that the best
 * is where both axes end.
 */
export function FiguresChart({ points, chosen }: FiguresChartProps) {
  const drawn = useMemo(
    () =>
      points.flatMap(({ how, figures: { sensitivity, toRead } }) => {
        if (sensitivity === null || toRead === null) return [];
        const x = (read: number) => -Math.min(read, MOST_TO_READ);
        const [right, high] = [x(toRead.value), 100 * sensitivity.value];
        return [
          {
            how,
            right,
            high,
            from: x(toRead.to),
            to: x(toRead.from),
            low: 100 * sensitivity.from,
            top: 100 * sensitivity.to,
          },
        ];
      }),
    [points],
  );
  const series = useMemo(
    () => [
      ...drawn.map(({ how, right, high }) => ({ name: how, type: 'scatter', data: [{ x: right, y: high }] })),
      ...drawn.map(({ how, from, to, high }) => ({
        name: `${how}, to read`,
        type: 'line',
        data: [
          { x: from, y: high },
          { x: to, y: high },
        ],
      })),
      ...drawn.map(({ how, low, top, right }) => ({
        name: `${how}, found`,
        type: 'line',
        data: [
          { x: right, y: low },
          { x: right, y: top },
        ],
      })),
    ],
    [drawn],
  );
  const options = useCallback(
    (colours: ThemeColours): ApexOptions => {
      const colourOf = (how: How) => (how === chosen ? colours.ink : colours.kept);
      const perPoint = drawn.map(({ how }) => colourOf(how));
      const most = Math.max(2, ...drawn.map(({ from }) => Math.ceil(-from)));
      const least = Math.min(80, ...drawn.map(({ low }) => Math.floor(low / 10) * 10));
      return {
        colors: [...perPoint, ...perPoint, ...perPoint],
        stroke: { width: series.map(({ type }) => (type === 'line' ? 1 : 0)) },
        markers: {
          size: series.map(({ type }, i) => (type === 'line' ? 0 : drawn[i]?.how === chosen ? 6 : 5)),
          shape: drawn.map(({ how }) =>
            how === 'own limit' ? 'square' : how === 'own words' ? 'diamond' : 'circle',
          ),
          strokeWidth: 0,
          hover: { sizeOffset: 0 },
        },
        grid: { padding: { top: -16, right: 12, bottom: -6, left: 4 } },
        xaxis: {
          type: 'numeric',
          min: -most,
          max: -1,
          tickAmount: Math.min(most - 1, 4),
          labels: { formatter: (value) => String(Math.round(-Number(value))), style: { fontSize: '10px' } },
          title: { text: 'records read for each one wanted', style: { fontSize: '10px', fontWeight: 400 } },
          axisTicks: { show: false },
          axisBorder: { color: colours.rule },
          crosshairs: { show: false },
          tooltip: { enabled: false },
        },
        yaxis: {
          min: least,
          max: 100,
          tickAmount: 2,
          labels: { formatter: (value) => `${Math.round(value)}%`, style: { fontSize: '10px' } },
        },
        // The table below tells every figure with its interval.
        tooltip: { enabled: false },
      };
    },
    [chosen, drawn, series],
  );
  return <Chart type="line" height={HEIGHT} series={series} options={options} />;
}
