import { formatCount, type LedgerLimit, type RunContent } from '@even-lantern/core';
import { format } from 'date-fns';

/** What was run, line by line, and what stood around it. */
export function RunTables({ content }: { content: RunContent }) {
  return (
    <>
      <table className="w-full text-[0.8125rem]">
        <thead className="small-head text-left">
          <tr>
            <th className="w-10">Line</th>
            <th className="w-2/5">What it searches</th>
            <th>String sent</th>
            <th className="count">Hits</th>
          </tr>
        </thead>
        <tbody>
          {content.lines.map((line) => (
            <tr key={line.number} className="rule border-t align-top">
              <td className="quiet font-mono text-xs leading-5">L{line.number}</td>
              <td className="pr-3">
                {line.description}
                {(line.losses ?? []).map((loss) => (
                  <span key={loss} className="text-warning block">
                    {loss}
                  </span>
                ))}
              </td>
              <td className="pr-3 font-mono text-xs leading-5 break-words">{line.string}</td>
              <td className="count">{line.hits === null ? 'not counted' : formatCount(line.hits)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Limits limits={content.limits ?? []} />
      <Listed
        title="Findings that were accepted"
        items={(content.accepted ?? []).map(({ message, reason, by, at }) => [message, reason, by, at])}
      />
      <Listed
        title="Headings of other vocabularies, as they were settled"
        items={(content.settled ?? []).map(({ heading, headings, words, by, at }) => [
          heading,
          [...headings, ...words.map((word) => `“${word}”`)].join(', '),
          by,
          at,
        ])}
      />
    </>
  );
}

type Item = readonly [what: string, how: string, by: string, at: string];

function Listed({ title, items }: { title: string; items: readonly Item[] }) {
  if (items.length === 0) return null;
  return (
    <section aria-label={title} className="text-[0.8125rem]">
      <h2 className="small-head">{title}</h2>
      <ul>
        {items.map(([what, how, by, at], i) => (
          <li key={`${what} ${i}`} className="rule border-t py-1">
            {what} <b>{how}</b>{' '}
            <span className="quiet">
              {by}, {format(at, 'd MMM yyyy')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The limits of an entry, with their reasons and the counts around them. */
function Limits({ limits }: { limits: readonly LedgerLimit[] }) {
  if (limits.length === 0) return null;
  const hits = (count: number | null) => (count === null ? 'not counted' : formatCount(count));
  return (
    <table className="w-full text-[0.8125rem]">
      <thead className="small-head text-left">
        <tr>
          <th className="w-2/5">Limit</th>
          <th>Reason, and who set it</th>
          <th className="count">Before</th>
          <th className="count">After</th>
        </tr>
      </thead>
      <tbody>
        {limits.map(({ limit, reason, way, notApplied, before, after, setBy, setAt }) => (
          <tr key={limit} className="rule border-t align-top">
            <td className="pr-3">
              {limit} <span className="quiet">{notApplied === null ? `(${way ?? ''})` : 'not applied'}</span>
            </td>
            <td className="pr-3">
              {reason}{' '}
              <span className="quiet">
                {notApplied !== null && `${notApplied} `}
                {[setBy, ...(setAt === '' ? [] : [format(setAt, 'd MMM yyyy')])].join(', ')}
              </span>
            </td>
            <td className="count">{notApplied === null ? hits(before) : ''}</td>
            <td className="count">{notApplied === null ? hits(after) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
