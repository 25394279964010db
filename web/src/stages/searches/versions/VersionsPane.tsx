import { formatCount } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { format } from 'date-fns';
import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { problemOf } from '../../../review/api/api.js';
import { useReview } from '../../../review/useReview.js';
import { versionApi } from '../../../review/api/versionApi.js';
import { LineForm } from '../../../parts/LineForm.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import type { LineNames } from '../lines/sheetLines.js';
import { useGoingBack } from './useGoingBack.js';
import { Comparison } from './Comparison.js';
import { titleOf } from './titleOf.js';

/** A state is kept a moment after the change that made it. */
const POLLING_MS = 3000;

/** A strategy that is worked on for months has thousands. */
const AT_ONCE = 60;

interface VersionsPaneProps {
  database: DatabaseProfile | null;
  names: LineNames;
  onClose: () => void;
}

/** The kept states of the strategy: to be named, compared with now, and gone back to. */
export function VersionsPane({ database, names, onClose }: VersionsPaneProps) {
  const { review } = useReview();
  const {
    data: versions,
    error,
    isFetching,
  } = versionApi.useVersionsQuery(review.id, {
    refetchOnMountOrArgChange: true,
    pollingInterval: POLLING_MS,
  });
  // What was changed before versions were kept, or just now, is one too.
  const [keep] = versionApi.useKeepVersionMutation();
  useEffect(() => {
    void keep(review.id);
  }, [keep, review.id]);
  const [chosen, setChosen] = useState<string | null>(null);
  const [shown, setShown] = useState(AT_ONCE);
  const [naming, setNaming] = useState<string | null>(null);
  const [name, { error: refused }] = versionApi.useNameVersionMutation();
  const goBack = useGoingBack();
  const now = versions?.find(({ present }) => present);
  return (
    <section aria-label="Versions" className="flex flex-col gap-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="small-head" tabIndex={-1} id="versions">
          Versions
        </h2>
        <button className="btn btn-ghost btn-xs" onClick={onClose}>
          <X className="h-3.5 w-3.5" aria-hidden="true" /> Close{' '}
          <kbd className="font-mono font-normal">V</kbd>
        </button>
      </div>
      <p className="quiet text-sm">The program keeps each state of the strategy, for all databases.</p>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {versions === undefined && error === undefined && <p className="quiet">Looking …</p>}
      {versions?.length === 0 && <p className="quiet">Nothing has been written yet.</p>}
      <ul aria-busy={isFetching}>
        {versions?.slice(0, shown).map((version) => (
          <li
            key={version.id}
            className="rule flex flex-col gap-1 border-b py-2"
            data-version={version.number}
          >
            <p className="flex items-baseline gap-2">
              <span
                aria-hidden="true"
                className={`h-2.5 w-2.5 shrink-0 rounded-full border-2 ${version.present ? 'border-accent bg-accent' : 'border-[var(--quiet,currentColor)]'}`}
              />
              <span className="flex-1">
                <b>{titleOf(version)}</b>
                {version.present && <span className="quiet"> now</span>}
              </span>
              <span className="quiet text-xs">{format(new Date(version.at), 'd MMM HH:mm')}</span>
            </p>
            <p className="quiet flex flex-wrap gap-x-3 pl-4 text-xs">
              {version.person !== '' && <span>by {version.person}</span>}
              {version.namedBy !== null && version.namedBy !== version.person && (
                <span>named by {version.namedBy}</span>
              )}
              <button
                className="link"
                onClick={() => setNaming(naming === version.id ? null : version.id)}
                aria-expanded={naming === version.id}
              >
                {version.name === '' ? 'name it' : 'rename it'}
              </button>
              {!version.present && (
                <>
                  <button
                    className="link"
                    aria-expanded={chosen === version.id}
                    onClick={() => setChosen(chosen === version.id ? null : version.id)}
                  >
                    compare with now
                  </button>
                  <button className="link" onClick={() => void goBack(version)}>
                    go back to it
                  </button>
                </>
              )}
            </p>
            {naming === version.id && (
              <LineForm
                label={`What version ${version.number} is called`}
                button="Name it"
                initial={version.name}
                autoFocus
                problem={refused === undefined ? null : problemOf(refused)}
                onSubmit={async (text) => {
                  const answer = await name({ review: review.id, id: version.id, name: text });
                  if (answer.data !== undefined) setNaming(null);
                }}
                onCancel={() => setNaming(null)}
              />
            )}
            {chosen === version.id && now !== undefined && database !== null && (
              <Comparison
                review={review.id}
                database={database}
                names={names}
                from={version.id}
                to={now.id}
              />
            )}
          </li>
        ))}
      </ul>
      {versions !== undefined && versions.length > shown && (
        <button className="btn btn-quiet btn-xs self-start" onClick={() => setShown(shown + AT_ONCE)}>
          Show earlier ones, of {formatCount(versions.length)} in all
        </button>
      )}
    </section>
  );
}
