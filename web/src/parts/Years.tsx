import type { ValueCount } from '@even-lantern/contract';

const HEIGHT = 72;
const WIDTH = 420;

/** Records by year, as bars; the numbers are in the title of each bar and in a table for readers of screens. */
export function Years({ years }: { years: readonly ValueCount[] }) {
  const [first, last] = [years[0], years.at(-1)];
  if (first === undefined || last === undefined) return null;
  const from = Number(first.value);
  const span = Number(last.value) - from + 1;
  const most = Math.max(...years.map(({ count }) => count));
  const step = WIDTH / span;
  return (
    <section>
      <h3 className="small-head">Years</h3>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden="true">
        {years.map(({ value, count }) => {
          const height = Math.max(1, (HEIGHT * count) / most);
          return (
            <rect
              key={value}
              x={(Number(value) - from) * step + 0.5}
              y={HEIGHT - height}
              width={Math.max(step - 1, 1)}
              height={height}
              fill="var(--bar-adds)"
            >
              <title>{`${value}: ${count}`}</title>
            </rect>
          );
        })}
      </svg>
      <p className="quiet count flex justify-between text-xs" aria-hidden="true">
        <span>{first.value}</span>
        <span>most in one year: {most}</span>
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
                <td>{count}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
