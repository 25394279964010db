import ApexCharts, { type ApexOptions } from 'apexcharts';
import { useEffect, useMemo, useRef } from 'react';
import { useThemeColours, type ThemeColours } from './useThemeColours.js';

export interface ChartProps {
  type: 'bar' | 'line';
  height: number;
  series: ApexOptions['series'] & object;
  /** what this chart is besides what all have in common */
  options: (colours: ThemeColours) => ApexOptions;
}

/** A chart in the colours and the type of the program, without what moves or distracts. */
export default function ApexChart({ type, height, series, options }: ChartProps) {
  const colours = useThemeColours();
  const place = useRef<HTMLDivElement>(null);
  const all = useMemo((): ApexOptions => {
    const own = options(colours);
    return {
      ...own,
      series,
      chart: {
        type,
        height,
        width: '100%',
        toolbar: { show: false },
        zoom: { enabled: false },
        selection: { enabled: false },
        animations: { enabled: false },
        fontFamily: 'inherit',
        foreColor: colours.quiet,
        ...own.chart,
      },
      states: { hover: { filter: { type: 'none' } }, active: { filter: { type: 'none' } } },
      dataLabels: { enabled: false },
      legend: { show: false },
      grid: { borderColor: colours.rule, ...own.grid },
      tooltip: { theme: colours.dark ? 'dark' : 'light', ...own.tooltip },
    };
  }, [type, height, series, colours, options]);

  const chart = useRef<ApexCharts | null>(null);
  const drawn = useRef(all);
  useEffect(() => {
    const made = new ApexCharts(place.current, drawn.current);
    chart.current = made;
    void made.render();
    return () => {
      chart.current = null;
      made.destroy();
    };
  }, []);
  useEffect(() => {
    if (drawn.current === all) return;
    drawn.current = all;
    void chart.current?.updateOptions(all, true, false);
  }, [all]);
  return <div ref={place} />;
}
