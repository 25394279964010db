import { counted } from '@even-lantern/core';
import type { ValueCount } from '@even-lantern/contract';
import type { ApexOptions } from 'apexcharts';
import type { ThemeColours } from './useThemeColours.js';

export interface YearCount {
  year: number;
  count: number;
}

/** A chart of more years has bars too thin to see. */
const MOST_YEARS = 300;

/** The years of records as a database tells them; what is no year, or lies far before all others, is not drawn. */
export function yearCounts(values: readonly ValueCount[]): YearCount[] {
  const years = values
    .map(({ value, count }) => ({ year: Number(value), count }))
    .filter(({ year }) => Number.isInteger(year) && year > 0);
  const last = Math.max(...years.map(({ year }) => year));
  return years.filter(({ year }) => year > last - MOST_YEARS);
}

/** Years without records too, so that a gap is seen as one. */
export function everyYear(
  counts: readonly YearCount[],
  from = Math.min(...counts.map(({ year }) => year)),
  to = Math.max(...counts.map(({ year }) => year)),
): YearCount[] {
  if (counts.length === 0) return [];
  const known = new Map(counts.map(({ year, count }) => [year, count]));
  return Array.from({ length: to - from + 1 }, (_, i) => ({
    year: from + i,
    count: known.get(from + i) ?? 0,
  }));
}

/** A bar for each year from edge to edge, without axes: what the years are stands below it. */
export function yearsChart(
  bars: readonly YearCount[],
  colourOf: (year: number) => string,
  colours: ThemeColours,
): ApexOptions {
  return {
    chart: { sparkline: { enabled: true } },
    colors: [({ dataPointIndex }: { dataPointIndex: number }) => colourOf(bars[dataPointIndex]?.year ?? 0)],
    plotOptions: { bar: { columnWidth: '86%' } },
    xaxis: {
      categories: bars.map(({ year }) => year),
      crosshairs: { show: false },
      labels: { show: false },
      axisTicks: { show: false },
      axisBorder: { show: false },
    },
    // Said once more, since a chart that is drawn anew forgets that it is without axes.
    yaxis: { min: 0, show: false, labels: { show: false } },
    grid: { show: false, padding: { top: 0, right: 0, bottom: 0, left: 0 } },
    tooltip: {
      custom: ({ dataPointIndex }: { dataPointIndex: number }) => {
        const bar = bars[dataPointIndex];
        return bar === undefined
          ? ''
          : `<span style="display:block;padding:2px 8px;color:${colours.ink};background:${colours.paper}">${bar.year}: ${counted(bar.count, 'record')}</span>`;
      },
    },
  };
}
