import type { DatabaseList } from '@even-lantern/contract';
import { OfAdded } from './OfAdded.js';

interface FailedProps {
  database: DatabaseList['failed'][number];
}

/** A database that does not answer; one that was added can be changed or taken from the list all the same. */
export function Failed({ database: { id, name, reason, added } }: FailedProps) {
  return (
    <div className="problem flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
      <p>
        {name} does not answer: {reason}
      </p>
      {added && <OfAdded id={id} name={name} />}
    </div>
  );
}
