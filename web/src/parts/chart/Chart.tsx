import { lazy, Suspense } from 'react';
import type { ChartProps } from './ApexChart.js';

// The library is large, and no screen waits for it: numbers stand beside every chart.
const ApexChart = lazy(() => import('./ApexChart.js'));

/**
 * A chart. It is drawn for eyes alone: whoever shows one gives the same numbers as a table or as text.
 */
export function Chart(props: ChartProps) {
  return (
    <div aria-hidden="true" style={{ height: props.height }}>
      <Suspense>
        <ApexChart {...props} />
      </Suspense>
    </div>
  );
}
