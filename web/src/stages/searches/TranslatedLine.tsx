import { GuideLink } from '../../parts/GuideLink.js';
import { counted, formatCount } from '@even-lantern/core';
import type { TranslatedLine, TranslatedLoss, Translation } from '@even-lantern/contract';
import { Difference } from './text/Difference.js';

const EFFECTS: Readonly<Record<TranslatedLoss['effect'], string>> = {
  widens: 'Finds more',
  narrows: 'Finds less',
  either: 'Finds more or less',
  same: 'Finds the same, as of this release',
};

/** More than this of what changes nothing are folded away. */
const MOST_OPEN = 2;

/** What the database cannot be told, what it is told instead, and what that comes to in records. */
export function Losses({ losses, changes }: Pick<TranslatedLine, 'losses' | 'changes'>) {
  if (losses.length === 0 && changes.length === 0) return <p className="quiet">Nothing is lost.</p>;
  const isSame = ({ effect, gained, missed }: TranslatedLoss) =>
    effect === 'same' && (gained ?? 0) + (missed ?? 0) === 0;
  const same = losses.filter(isSame);
  return (
    <>
      <ul className="flex flex-col gap-2">
        {changes.map((change) => (
          <li key={change} className="border-warning border-l-[3px] pl-2">
            {change.charAt(0).toUpperCase() + change.slice(1)}.
          </li>
        ))}
        {losses
          .filter((loss) => !isSame(loss))
          .map((loss) => (
            <LossItem key={`${loss.from} ${loss.lost}`} loss={loss} />
          ))}
      </ul>
      {same.length > 0 && (
        <details open={same.length <= MOST_OPEN}>
          <summary className="quiet cursor-pointer">
            {counted(same.length, 'thing is', 'things are')} said otherwise and{' '}
            {same.length === 1 ? 'finds' : 'find'} the same
          </summary>
          <ul className="mt-1 flex flex-col gap-2">
            {same.map((loss) => (
              <LossItem key={`${loss.from} ${loss.lost}`} loss={loss} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

function LossItem({ loss: { lost, instead, effect, gained, missed } }: { loss: TranslatedLoss }) {
  return (
    <li className={`border-l-[3px] pl-2 ${effect === 'same' ? 'border-[var(--rule)]' : 'border-warning'}`}>
      It cannot say <b>{lost}</b>. Said instead: {instead}.
      <span className="quiet block">
        {EFFECTS[effect]}
        {effect === 'same' && (gained ?? 0) + (missed ?? 0) === 0
          ? '.'
          : gained === null || missed === null
            ? '; not counted.'
            : `: ${counted(gained, 'record')} too many, ${formatCount(missed)} missed.`}{' '}
        <GuideLink to="searches#what-a-database-cannot-say" label={`Why it cannot say ${lost}, in the guide`}>
          why
        </GuideLink>
      </span>
    </li>
  );
}

/** What the database says it made of the string, beside how we read it. */
export function Understood({ line, translation }: { line: TranslatedLine; translation: Translation }) {
  const { understood, expected } = line;
  if (line.error !== null) return <p className="problem">{line.error}</p>;
  if (understood === null) return <p className="quiet">The database does not say how it read the string.</p>;
  if (understood === expected) {
    return (
      <details>
        <summary className="cursor-pointer">Just what was sent.</summary>
        <pre className="quiet mt-1 font-mono text-xs break-words whitespace-pre-wrap">{understood}</pre>
      </details>
    );
  }
  return (
    <div className="flex flex-col gap-1">
      <p className="problem">
        {translation.databaseName} read the string differently. What it added is marked, what it dropped is
        struck through.
      </p>
      <pre className="font-mono text-xs break-words whitespace-pre-wrap">
        <Difference text={understood} from={expected} />
      </pre>
    </div>
  );
}
