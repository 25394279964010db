import { formatCount } from '@even-lantern/core';
import type { ValueCount } from '@even-lantern/contract';
import { useCallback, useMemo } from 'react';
import { Chart } from './chart/Chart.js';
import { everyYear, yearCounts, yearsChart } from './chart/yearsChart.js';
import type { ThemeColours } from './chart/useThemeColours.js';

const HEIGHT = 96;

/** Records by year, as a chart and as a table for readers of screens. */
export function Years({ years }: { years: readonly ValueCount[] }) {
  const bars = useMemo(() => everyYear(yearCounts(years)), [years]);
  const series = useMemo(() => [{ name: 'records', data: bars.map(({ count }) => count) }], [bars]);
  const options = useCallback(
    (colours: ThemeColours) => yearsChart(bars, () => colours.kept, colours),
    [bars],
  );
  const [first, last] = [years[0], years.at(-1)];
  if (first === undefined || last === undefined) return null;
  const most = Math.max(...years.map(({ count }) => count));
  return (
    <section>
      <h3 className="small-head">Years</h3>
      <Chart type="bar" height={HEIGHT} series={series} options={options} />
      <p className="quiet count flex justify-between text-xs" aria-hidden="true">
        <span>{first.value}</span>
        <span>most in one year: {formatCount(most)}</span>
        <span>{last.value}</span>
      </p>
      {/* A table itself cannot be made small enough to hide. */}
      <div className="sr-only">
        <table>
          <caption>Records by year</caption>
          <tbody>
            {years.map(({ value, count }) => (
              <tr key={value}>
                <th scope="row">{value}</th>
                <td>{formatCount(count)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
