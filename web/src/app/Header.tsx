import type { DatabaseProfile } from '@even-lantern/contract';
import { counted } from '@even-lantern/core';
import { CircleHelp, Database, Search, SunMoon } from 'lucide-react';
import { Link } from 'react-router';
import { ChoiceMenu } from '../parts/ChoiceMenu.js';
import { StateSign, stateText } from '../parts/DatabaseStateNote.js';
import { Mark } from '../parts/Mark.js';
import { releaseText } from '../parts/release.js';
import { PersonMenu } from '../review/PersonMenu.js';
import { switchTheme } from './theme.js';
import type { DatabaseChoice } from '../review/useDatabaseChoice.js';

interface HeaderProps {
  title: string;
  sentence: string;
  reviewId: string;
  choice: DatabaseChoice;
  onCommands: () => void;
  onHelp: () => void;
}

export function Header({ title, sentence, reviewId, choice, onCommands, onHelp }: HeaderProps) {
  return (
    <header className="rule flex h-[2.875rem] shrink-0 items-center gap-4 border-b px-4">
      <Link to="/reviews" aria-label="Even Lantern, all reviews">
        <Mark compact />
      </Link>
      <Link
        to={`/reviews/${reviewId}/question`}
        className="flex min-w-0 flex-1 items-baseline gap-3"
        title={sentence}
      >
        <span className="max-w-[45%] shrink-0 truncate font-semibold">{title}</span>
        <span className="quiet truncate max-md:hidden">
          {sentence === '' ? 'Write the question' : sentence}
        </span>
      </Link>
      <CountsFrom choice={choice} />
      <button
        className="rule btn-quiet quiet flex items-center gap-2 rounded px-2 py-1 text-xs whitespace-nowrap"
        onClick={onCommands}
      >
        <Search className="h-3.5 w-3.5" aria-hidden="true" />
        <span className="max-md:hidden">Go to or do</span> <kbd className="font-mono">Ctrl K</kbd>
      </button>
      <PersonMenu />
      <button
        className="btn btn-ghost btn-xs btn-square"
        onClick={onHelp}
        aria-label="Keys on this screen"
        title="Keys on this screen (?)"
      >
        <CircleHelp className="h-4 w-4" />
      </button>
      <button
        className="btn btn-ghost btn-xs btn-square"
        onClick={switchTheme}
        aria-label="Switch between light and dark"
        title="Light or dark"
      >
        <SunMoon className="h-4 w-4" />
      </button>
    </header>
  );
}

const STATES = { away: 'does not answer', slow: 'slow', ready: 'estimates' };

/** Which database the counts come from, or why they do not, and the way to another. */
function CountsFrom({
  choice: { database, databases, failed, loading, choose },
}: {
  choice: DatabaseChoice;
}) {
  const [first] = failed;
  const trouble = loading
    ? 'Asking the databases …'
    : first === undefined
      ? 'No database is known'
      : `${first.name} does not answer`;
  return (
    <span className="flex min-w-0 items-center gap-2">
      {database === null && (
        <span className="problem flex max-w-64 items-center gap-1 text-sm" title={first?.reason ?? trouble}>
          <Database className="h-4 w-4 shrink-0" aria-hidden="true" />
          <span className="truncate">{trouble}</span>
        </span>
      )}
      {database !== null && stateText(database) !== null && (
        <span
          className={`flex items-center gap-1 text-sm ${database.state === 'away' ? 'problem' : 'quiet'}`}
          title={stateText(database) ?? undefined}
        >
          <StateSign state={database.state} />
          <span className="max-md:hidden">{STATES[database.state]}</span>
        </span>
      )}
      {databases.length > 0 && (
        <span className="max-lg:hidden">
          <ChoiceMenu
            label="Database that counts come from"
            text={database === null ? 'Another database' : `${database.name}, ${reached(database)}`}
            className="btn-sm"
            side="right"
            {...(database === null ? {} : { chosen: database.id })}
            choices={databases.map((each) => ({
              id: each.id,
              name: each.name,
              detail: [
                ...(each.records === null ? [] : [counted(each.records, 'record')]),
                ...(each.vocabulary === null ? [] : [each.vocabulary.name]),
                reached(each),
                ...(each.state === 'ready' ? [] : [each.state === 'away' ? 'does not answer' : 'slow']),
              ].join(', '),
            }))}
            onChoose={choose}
          />
        </span>
      )}
    </span>
  );
}

/** What a count of the database is worth: its release, and whether it is simulated or entered by a person. */
function reached({ release, simulated, reached: how }: DatabaseProfile): string {
  if (how === 'hand') return release === '' ? 'asked by hand' : `${releaseText(release)}, asked by hand`;
  return releaseText(release) + (simulated ? ', simulated' : '');
}

export function limitsNumber(on: number): string {
  return on === 0 ? 'none' : String(on);
}
