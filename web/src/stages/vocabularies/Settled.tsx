import type { SettledStep, VocabularySummary } from '@even-lantern/contract';
import { format } from 'date-fns';
import { useCrosswalk } from '../../review/useCrosswalk.js';

const VERDICT_WORDS = {
  confirmed: 'stands for it',
  refused: 'refused',
  words: 'its names as words',
} as const;

/** Everything that was settled, with who did it and when. */
export function Settled({ vocabularies }: { vocabularies: readonly VocabularySummary[] }) {
  const { settlements, settle } = useCrosswalk();
  const nameOf = (id: string) => vocabularies.find((each) => each.id === id)?.name ?? id;
  const takeBack = ({ vocabulary, label, target, targetLabel }: SettledStep) =>
    void settle(
      { vocabulary, label, target, targetLabel, verdict: 'open' },
      `took back what stands for ${label}`,
    );
  return (
    <section aria-labelledby="settled" className="flex flex-col gap-2 pb-10">
      <div className="flex flex-wrap items-baseline gap-4">
        <h2 id="settled" className="flex-1 font-bold">
          Crosswalk
        </h2>
        {settlements.length > 0 && (
          <span className="flex gap-3 text-sm">
            <a className="link" href="/api/crosswalk.ttl" download aria-label="Crosswalk as SKOS in Turtle">
              Turtle
            </a>
            <a className="link" href="/api/crosswalk.csv" download aria-label="Crosswalk as CSV">
              CSV
            </a>
          </span>
        )}
      </div>
      {settlements.length === 0 ? (
        <p className="quiet">
          Nothing is settled yet. Open a heading in a lane to see proposals from other vocabularies; what you
          confirm holds for all reviews.
        </p>
      ) : (
        <table className="w-full text-sm">
          <thead>
            <tr className="rule quiet border-b text-left">
              <th className="py-1 pr-3 font-normal">Heading</th>
              <th className="py-1 pr-3 font-normal">In</th>
              <th className="py-1 pr-3 font-normal">What stands for it</th>
              <th className="py-1 pr-3 font-normal">Settled</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {[...settlements].reverse().map((step) => (
              <tr
                key={JSON.stringify([step.vocabulary, step.label, step.target, step.targetLabel])}
                className="rule border-b align-top"
              >
                <td className="py-1 pr-3">
                  <b>{step.label}</b>
                  <span className="quiet block text-xs">{nameOf(step.vocabulary)}</span>
                </td>
                <td className="py-1 pr-3">{nameOf(step.target)}</td>
                <td className="py-1 pr-3">
                  {step.targetLabel ?? ''}
                  <span className={step.targetLabel === null ? '' : 'quiet block text-xs'}>
                    {VERDICT_WORDS[step.verdict]}
                  </span>
                </td>
                <td className="quiet py-1 pr-3">
                  {format(new Date(step.at), 'd MMM yyyy HH:mm')}, {step.person}
                </td>
                <td className="py-1 text-right">
                  <button
                    className="link text-xs"
                    onClick={() => takeBack(step)}
                    aria-label={`Take back ${step.targetLabel ?? 'words'} for ${step.label}`}
                  >
                    take back
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
