import { api, problemOf } from '../../app/api.js';
import { useReview } from '../../app/useReview.js';
import { Count } from '../../parts/Count.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** What the vocabulary says of a heading: its note, its places in the tree, its other names, its counts. */
export function HeadingFacts({ label }: { label: string }) {
  const { database } = useReview();
  const { data, error } = api.useHeadingQuery(
    { database: database?.id ?? '', label },
    { skip: database === null },
  );
  if (error !== undefined) return <ProblemNote problem={problemOf(error)} />;
  if (data === undefined) return <p className="quiet">Looking up the heading …</p>;
  const { heading, paths, narrower } = data;
  return (
    <div className="flex flex-col gap-3">
      {heading.scopeNote !== '' && <p>{heading.scopeNote}</p>}
      {heading.historyNote !== null && <p className="quiet">{heading.historyNote}</p>}
      <section>
        <h3 className="small-head">In the tree{paths.length > 1 ? `, ${paths.length} places` : ''}</h3>
        {paths.map((path) => (
          <p key={path.join('/')}>
            {path.slice(0, -1).map((above) => (
              <span key={above} className="quiet">
                {above} ›{' '}
              </span>
            ))}
            <b>{path.at(-1)}</b>
          </p>
        ))}
      </section>
      {narrower.length > 0 && (
        <section>
          <h3 className="small-head">Directly below it</h3>
          <p>{narrower.join(', ')}</p>
        </section>
      )}
      {heading.entryTerms.length > 0 && (
        <section>
          <h3 className="small-head">Also called</h3>
          <p>{heading.entryTerms.join(', ')}</p>
        </section>
      )}
      {heading.related.length > 0 && (
        <section>
          <h3 className="small-head">Related</h3>
          <p>{heading.related.join(', ')}</p>
        </section>
      )}
      <section>
        <h3 className="small-head">Counts in {database?.name}</h3>
        <dl className="grid grid-cols-[1fr_auto] gap-y-0.5">
          <dt>this heading alone</dt>
          <dd>
            <Count hits={data.alone.hits} />
          </dd>
          <dt>with narrower</dt>
          <dd>
            <Count hits={data.withNarrower.hits} />
          </dd>
          <dt>with narrower, central</dt>
          <dd>
            <Count hits={data.central.hits} />
          </dd>
        </dl>
      </section>
    </div>
  );
}
