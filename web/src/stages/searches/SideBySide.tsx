import type { DatabaseProfile, TranslatedLine, Translation } from '@even-lantern/contract';
import { Copy, TriangleAlert } from 'lucide-react';
import { api, problemOf } from '../../app/api.js';
import { Count } from '../../parts/Count.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { releaseText } from '../../parts/release.js';
import { OwnString } from '../../parts/OwnString.js';

interface SideBySideProps {
  reviewId: string;
  databases: [DatabaseProfile, DatabaseProfile];
  onCopy: (text: string, name: string) => void;
}

/** The strategy in two databases, line by line. A line is not made for a term that nobody has settled there. */
export function SideBySide({ reviewId, databases, onCopy }: SideBySideProps) {
  const [left, right] = databases;
  const answers = [
    api.useTranslationQuery({ review: reviewId, database: left.id }),
    api.useTranslationQuery({ review: reviewId, database: right.id }),
  ];
  const failed = answers.find(({ error, data }) => error !== undefined && data === undefined);
  if (failed !== undefined) return <ProblemNote problem={problemOf(failed.error)} />;
  const [first, second] = answers.map(({ data }) => data);
  if (first === undefined || second === undefined) return <p className="quiet">Translating …</p>;
  const rows = rowsOf(first, second);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Both strategies, scrolls">
      <table className="w-full min-w-[720px] table-fixed border-collapse">
        <thead>
          <tr className="rule border-b text-left align-bottom">
            {[first, second].map((translation, i) => (
              <th key={i} scope="col" className="w-1/2 p-2 font-bold">
                {translation.databaseName}
                <span className="quiet block text-xs font-normal">
                  {releaseText(translation.release)}
                  {translation.simulated && ', simulated'}
                  {translation.problems.length > 0 && `; ${translation.problems.length} to settle`}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([a, b]) => (
            <tr
              key={`${a?.number ?? ''} ${b?.number ?? ''}`}
              className={`rule border-b align-top ${(a ?? b)?.kind === 'term' ? '' : 'bg-base-300'}`}
            >
              <Cell line={a} name={left.name} onCopy={onCopy} />
              <Cell line={b} name={right.name} onCopy={onCopy} />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Lines of the two that say the same term, lane or whole. */
function rowsOf(first: Translation, second: Translation): [TranslatedLine?, TranslatedLine?][] {
  const key = ({ kind, laneId, termId }: TranslatedLine) => `${kind} ${laneId ?? ''} ${termId ?? ''}`;
  const left = new Map(first.lines.map((line) => [key(line), line]));
  const right = new Map(second.lines.map((line) => [key(line), line]));
  const longer = first.lines.length >= second.lines.length ? left : right;
  return [...longer.keys()].map((each) => [left.get(each), right.get(each)]);
}

function Cell({
  line,
  name,
  onCopy,
}: {
  line: TranslatedLine | undefined;
  name: string;
  onCopy: SideBySideProps['onCopy'];
}) {
  if (line === undefined) return <td className="quiet p-2">To settle before it can be searched here.</td>;
  const lost = line.losses.filter(({ effect }) => effect !== 'same').length + line.changes.length;
  return (
    <td className="p-2">
      <div className="flex items-baseline gap-2">
        <span className="quiet w-8 shrink-0 font-mono text-xs">L{line.number}</span>
        <code className="min-w-0 flex-1 font-mono text-[12.5px] leading-5 break-words">
          {line.kind === 'term' ? <OwnString text={line.sent} losses={line.losses} /> : line.text}
        </code>
        <Count hits={line.hits} error={line.error} />
        <button
          className="btn btn-ghost btn-xs btn-square"
          aria-label={`Copy L${line.number} for ${name}`}
          title="Copy"
          onClick={() => onCopy(line.sent, `L${line.number} for ${name}`)}
        >
          <Copy className="h-3.5 w-3.5" />
        </button>
      </div>
      {line.kind === 'term' && lost > 0 && (
        <p className="text-warning flex gap-1 pl-10 text-xs">
          <TriangleAlert className="mt-0.5 h-3 w-3 shrink-0" aria-hidden="true" />
          <span>
            {[...line.changes, ...line.losses.map((loss) => `${loss.lost}: ${loss.instead}`)].join('; ')}
          </span>
        </p>
      )}
    </td>
  );
}
