import type { DatabaseProfile, TranslatedLine } from '@even-lantern/contract';
import { Copy, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import { strategyApi } from '../../review/api/strategyApi.js';
import { Count } from '../../parts/Count.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { releaseText } from '../../parts/release.js';
import { RecordsApart } from './RecordsApart.js';
import { linesBeside } from './linesBeside.js';
import { useKey } from '../../parts/keys/useKey.js';
import { focusNeighbour } from '../../parts/keys/focusNeighbour.js';
import { OwnString } from '../../parts/OwnString.js';

interface SideBySideProps {
  reviewId: string;
  databases: [DatabaseProfile, DatabaseProfile];
  onCopy: (text: string, name: string) => void;
}

/** For the chosen line, on either side. */
const COPY_KEYS = ['Alt C', 'Alt Shift C'] as const;

/** The strategy in two databases, line by line. A line is not made for a term that nobody has settled there. */
export function SideBySide({ reviewId, databases, onCopy }: SideBySideProps) {
  const [left, right] = databases;
  const answers = [
    strategyApi.useTranslationQuery({ review: reviewId, database: left.id }),
    strategyApi.useTranslationQuery({ review: reviewId, database: right.id }),
  ];
  const [chosen, setChosen] = useState(-1);
  const shown = answers.flatMap(({ data }) => (data === undefined ? [] : [data]));
  const rows = shown.length === 2 ? linesBeside(shown.map(({ lines }) => lines)) : [];
  const at = chosen < 0 ? rows.length - 1 : Math.min(chosen, rows.length - 1);
  const copy = (side: 0 | 1) => {
    const line = rows[at]?.[side];
    if (line !== undefined) onCopy(line.sent, `L${line.number} for ${databases[side].name}`);
  };
  useKey('searches.copy', () => copy(0));
  useKey('searches.copy-right', () => copy(1));
  const failed = answers.find(({ error, data }) => error !== undefined && data === undefined);
  if (failed !== undefined) return <ProblemNote problem={problemOf(failed.error)} />;
  if (shown.length < 2) return <p className="quiet">Translating …</p>;
  return (
    <>
      <RecordsApart reviewId={reviewId} databases={databases} />
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Both strategies, scrolls">
        <table className="w-full min-w-[720px] table-fixed border-collapse">
          <thead>
            <tr className="rule border-b text-left align-bottom">
              {shown.map((translation, i) => (
                <th key={i} scope="col" className="w-1/2 p-2 font-bold">
                  {translation.databaseName}
                  <span className="quiet block text-xs font-normal">
                    <kbd className="float-right font-mono">{COPY_KEYS[i]} copies</kbd>
                    {releaseText(translation.release)}
                    {translation.simulated && ', simulated'}
                    {translation.problems.length > 0 && `; ${translation.problems.length} to settle`}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([a, b], i) => (
              <tr
                key={`${a?.number ?? ''} ${b?.number ?? ''}`}
                tabIndex={i === at ? 0 : -1}
                className={`rule border-b align-top ${(a ?? b)?.kind === 'term' ? '' : 'bg-base-300'} ${
                  i === at ? 'shadow-[inset_3px_0_0_var(--color-base-content)]' : ''
                }`}
                onFocus={() => setChosen(i)}
                onKeyDown={focusNeighbour}
              >
                <Cell line={a} name={left.name} onCopy={onCopy} />
                <Cell line={b} name={right.name} onCopy={onCopy} />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
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
        <code className="min-w-0 flex-1 font-mono text-[0.78125rem] leading-5 break-words">
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
