import { UserRound } from 'lucide-react';
import { usePerson } from './api/person.js';

/** Says whose name every edit carries, and lets somebody else take over. */
export function PersonMenu() {
  const { person, leave } = usePerson();
  const label = `Working as ${person.name}. Change who is working here`;
  return (
    <button
      className="rule btn-quiet quiet flex max-w-40 items-center gap-1 rounded px-2 py-1 text-xs"
      onClick={leave}
      aria-label={label}
      title={label}
    >
      <UserRound className="h-3.5 w-3.5 shrink-0" aria-hidden="true" />
      <span className="truncate max-lg:hidden">{person.name.split(' ')[0]}</span>
    </button>
  );
}
