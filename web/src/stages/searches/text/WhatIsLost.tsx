import { formatCount } from '@even-lantern/core';
import type { DatabaseProfile, TranslatedLoss } from '@even-lantern/contract';

export interface Proposed {
  to: 'own' | 'cql';
  text: string;
  losses: readonly TranslatedLoss[];
}

interface WhatIsLostProps {
  proposed: Proposed;
  database: DatabaseProfile;
  onChange: () => void;
  onLeave: () => void;
}

/** What the other language cannot say of a line, before it is changed into it. */
export function WhatIsLost({ proposed: { to, losses }, database, onChange, onLeave }: WhatIsLostProps) {
  return (
    <section
      aria-label="What would be lost"
      className="border-warning flex flex-col gap-1 border-l-[3px] pl-2"
    >
      <p>{to === 'own' ? `${database.name}’s own language` : 'CQL'} cannot say all of this:</p>
      <ul className="list-disc pl-5">
        {losses.map((loss) => (
          <li key={`${loss.from} ${loss.lost}`}>
            {loss.lost}: {loss.instead}
            {loss.gained !== null && loss.missed !== null && (
              <>
                {' '}
                (finds {formatCount(loss.gained)} more, misses {formatCount(loss.missed)})
              </>
            )}
          </li>
        ))}
      </ul>
      <p className="flex gap-2">
        <button className="btn btn-sm btn-quiet" onClick={onChange}>
          Change all the same
        </button>
        <button className="btn btn-sm btn-primary" onClick={onLeave}>
          Leave it as it is
        </button>
      </p>
    </section>
  );
}
