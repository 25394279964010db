import type { DatabaseProfile } from '@even-lantern/contract';
import { EqualApproximately, Hourglass, Unplug } from 'lucide-react';

type AnsweringDatabase = Pick<DatabaseProfile, 'name' | 'state' | 'trouble' | 'estimates'>;

/** How a database answers just now, in a sentence; null while it answers as it should. */
export function stateText({ name, state, trouble, estimates }: AnsweringDatabase) {
  if (state === 'ready') {
    return estimates === true ? `${name} says that its counts are estimates: they may be off.` : null;
  }
  const why = trouble ?? '';
  return state === 'slow'
    ? `${name} is slow. ${why} You see its last answers, and the program keeps asking.`
    : `${name} does not answer: ${why} You see its last answers; new counts arrive when it answers.`;
}

/** Tells of a database that is slow, away or only estimates, each with a sign of its own; nothing while it answers exactly. */
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

const SIGNS = { away: Unplug, slow: Hourglass, ready: EqualApproximately };

export function StateSign({ state }: Pick<DatabaseProfile, 'state'>) {
  const Sign = SIGNS[state];
  return <Sign className="mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />;
}
