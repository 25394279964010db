import type { DatabaseProfile } from '@even-lantern/contract';
import { Hourglass, Unplug } from 'lucide-react';

/** How a database answers just now, in a sentence; null while it answers as it should. */
export function stateText({ name, state, trouble }: Pick<DatabaseProfile, 'name' | 'state' | 'trouble'>) {
  if (state === 'ready') return null;
  const why = trouble ?? '';
  return state === 'slow'
    ? `${name} is slow. ${why} You see its last answers, and the program keeps asking.`
    : `${name} does not answer: ${why} You see its last answers; new counts arrive when it answers.`;
}

/** Tells of a database that is slow or away, each with a sign of its own; nothing while it answers. */
export function DatabaseStateNote({ database }: { database: DatabaseProfile }) {
  const text = stateText(database);
  if (text === null) return null;
  const away = database.state === 'away';
  return (
    <p role="status" className={away ? 'problem flex items-start gap-1.5' : 'quiet flex items-start gap-1.5'}>
      <StateSign state={database.state} />
      {text}
    </p>
  );
}

export function StateSign({ state }: Pick<DatabaseProfile, 'state'>) {
  const Sign = state === 'away' ? Unplug : Hourglass;
  return <Sign className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />;
}
