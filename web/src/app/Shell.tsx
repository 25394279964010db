/** The frame: header, stage rail, stage area, ledger strip. */
import type { DatabaseProfile } from '@even-lantern/contract';
import { StateSign, stateText } from '../parts/DatabaseStateNote.js';
import { releaseText } from '../parts/release.js';
import { counted, elementShape, formatCount, questionSentence } from '@even-lantern/core';
import { lanesOfReview } from '../review/lanes.js';
import {
  BookOpen,
  CircleHelp,
  Database,
  Search,
  SunMoon,
  type LucideIcon,
  MessageCircleQuestion,
  PanelLeftClose,
  PanelLeftOpen,
  Layers,
  SlidersHorizontal,
  ListOrdered,
} from 'lucide-react';
import { Suspense, useEffect, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { CountSource } from '../parts/Count.js';
import { ChoiceMenu } from '../parts/ChoiceMenu.js';
import { useKey } from '../parts/keys/useKey.js';
import { KeyHelp } from '../parts/keys/KeyHelp.js';
import { MayFail } from '../parts/MayFail.js';
import { Mark } from '../parts/Mark.js';
import { StageIntro } from '../parts/StageIntro.js';
import { ProblemNote } from '../parts/ProblemNote.js';
import { LedgerStrip } from '../stages/ledger/LedgerStrip.js';
import { problemOf } from '../review/api/api.js';
import { strategyApi } from '../review/api/strategyApi.js';
import { reviewApi } from '../review/api/reviewApi.js';
import { recordApi } from '../review/api/recordApi.js';
import { PersonMenu } from '../review/PersonMenu.js';
import { CommandSearch } from './CommandSearch.js';
import { switchTheme } from './theme.js';
import { useDatabaseChoice, type DatabaseChoice } from '../review/useDatabaseChoice.js';
import type { ReviewContext } from '../review/useReview.js';

export function Shell() {
  const { reviewId = '' } = useParams();
  const review = reviewApi.useReviewQuery(reviewId);
  const choice = useDatabaseChoice();
  const stage = useLocation().pathname.split('/')[3] ?? '';
  const [commands, setCommands] = useState(false);
  const [help, setHelp] = useState(false);
  const navigate = useNavigate();
  useKey('commands', () => setCommands(true));
  useKey('help', () => setHelp(true));
  const goTo = (to: string) => () => void navigate(`/reviews/${reviewId}/${to}`);
  useKey('stage.1', goTo('question'));
  useKey('stage.2', goTo('concepts'));
  useKey('stage.3', goTo('searches'));
  useKey('stage.4', goTo('limits'));
  useKey('stage.5', goTo('records'));

  const title = review.data?.title;
  useEffect(() => {
    document.title = title === undefined ? 'Even Lantern' : `${title} · Even Lantern`;
  }, [title]);

  if (review.error !== undefined && review.data === undefined) {
    return (
      <main className="p-8">
        <ProblemNote problem={problemOf(review.error)}>
          <Link className="link" to="/reviews">
            All reviews
          </Link>
        </ProblemNote>
      </main>
    );
  }
  if (review.data === undefined) return <p className="quiet p-8">Opening the review …</p>;
  const { database } = choice;
  const context: ReviewContext = { review: review.data, database };

  return (
    <div className="flex h-full flex-col">
      <Header
        title={review.data.title}
        sentence={questionSentence(review.data.elements, review.data.framework)}
        reviewId={reviewId}
        choice={choice}
        onCommands={() => setCommands(true)}
        onHelp={() => setHelp(true)}
      />
      <div className="flex min-h-0 flex-1 max-md:flex-col">
        <Rail context={context} />
        <div className="flex min-h-0 min-w-0 flex-1 flex-col">
          <StageIntro key={stage} stage={stage} />
          <main className="relative min-h-0 min-w-0 flex-1 overflow-auto">
            <CountSource value={database?.id ?? null}>
              <MayFail resetKey={stage}>
                <Suspense>
                  <Outlet context={context} />
                </Suspense>
              </MayFail>
            </CountSource>
          </main>
        </div>
      </div>
      <LedgerStrip reviewId={reviewId} />
      <CommandSearch open={commands} onOpenChange={setCommands} reviewId={reviewId} choice={choice} />
      <KeyHelp open={help} onClose={() => setHelp(false)} />
    </div>
  );
}

interface HeaderProps {
  title: string;
  sentence: string;
  reviewId: string;
  choice: DatabaseChoice;
  onCommands: () => void;
  onHelp: () => void;
}

function Header({ title, sentence, reviewId, choice, onCommands, onHelp }: HeaderProps) {
  return (
    <header className="rule flex h-[46px] shrink-0 items-center gap-4 border-b px-4">
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

/** Which database the counts come from, or why they do not, and the way to another. */
function CountsFrom({ choice: { database, databases, failed, asking, choose } }: { choice: DatabaseChoice }) {
  const [wanted] = failed;
  const trouble = asking
    ? 'Asking the databases …'
    : wanted === undefined
      ? 'No database is known'
      : `${wanted.name} does not answer`;
  return (
    <span className="flex min-w-0 items-center gap-2">
      {database === null && (
        <span className="problem flex max-w-64 items-center gap-1 text-sm" title={wanted?.reason ?? trouble}>
          <Database className="h-4 w-4 shrink-0" aria-hidden="true" />
          <span className="truncate">{trouble}</span>
        </span>
      )}
      {database !== null && database.state !== 'ready' && (
        <span
          className={`flex items-center gap-1 text-sm ${database.state === 'away' ? 'problem' : 'quiet'}`}
          title={stateText(database) ?? undefined}
        >
          <StateSign state={database.state} />
          {database.state === 'away' ? 'does not answer' : 'slow'}
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

function limitsNumber(on: number): string {
  return on === 0 ? 'none' : String(on);
}

const NARROW_KEY = 'even-lantern-rail';

function Rail({ context: { review, database } }: { context: ReviewContext }) {
  const [narrow, setNarrow] = useState(localStorage.getItem(NARROW_KEY) === 'narrow');
  const switchWidth = () => {
    localStorage.setItem(NARROW_KEY, narrow ? 'wide' : 'narrow');
    setNarrow(!narrow);
  };
  const lanes = lanesOfReview(review);
  const { search } = useLocation();
  const [params] = useSearchParams();
  const { data: counts } = recordApi.useRecordCountsQuery(review.id);
  const rehearsal = strategyApi.useRehearsalQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null },
  );
  const written = review.elements
    .filter(({ text }) => text.trim() !== '')
    .map(({ key }) => elementShape(key).letter);
  const lines = rehearsal.data?.lines.length;
  const unread = counts?.undecided ?? 0;
  const keep = params.get('ledger') === 'open' ? search : '';
  const stages: { to: string; label: string; number: string; icon: LucideIcon }[] = [
    { to: 'question', label: 'Question', number: written.join(' ') || 'empty', icon: MessageCircleQuestion },
    {
      to: 'concepts',
      label: 'Concepts',
      number: counted(lanes.length, 'lane'),
      icon: Layers,
    },
    {
      to: 'searches',
      label: 'Searches',
      number: lines === undefined ? '' : `${lines} lines`,
      icon: ListOrdered,
    },
    {
      to: 'limits',
      label: 'Limits',
      number: limitsNumber(review.limits.filter(({ on }) => on).length),
      icon: SlidersHorizontal,
    },
    { to: 'records', label: 'Records', number: `${formatCount(unread)} unread`, icon: BookOpen },
  ];
  return (
    <nav
      aria-label="Stages"
      className={`rule bg-base-300 flex shrink-0 flex-col border-r py-2 max-md:flex-row max-md:border-r-0 max-md:border-b max-md:py-0 ${narrow ? 'md:w-12' : 'md:w-[172px]'}`}
    >
      {stages.map(({ to, label, number, icon: Icon }) => (
        <NavLink
          key={to}
          to={{ pathname: `/reviews/${review.id}/${to}`, search: keep }}
          title={`${label}: ${number}`}
          className={({ isActive }) =>
            `flex items-center justify-between gap-2 px-4 py-2 max-md:flex-1 max-md:justify-center max-md:px-1 md:border-l-[3px] ${
              isActive ? 'bg-base-200 border-base-content font-bold' : 'border-transparent'
            } ${narrow ? 'md:px-3' : ''}`
          }
        >
          <span className="flex items-center gap-2">
            <Icon className="h-4 w-4 shrink-0 max-md:hidden" aria-hidden="true" />
            <span className={narrow ? 'md:sr-only' : ''}>{label}</span>
          </span>
          {!narrow && (
            <span className="quiet count text-xs font-normal whitespace-nowrap max-md:hidden">{number}</span>
          )}
        </NavLink>
      ))}
      <button
        className="quiet mt-auto cursor-pointer self-start px-4 py-2 max-md:hidden"
        onClick={switchWidth}
        aria-label={narrow ? 'Widen the stage rail' : 'Narrow the stage rail to icons'}
        title={narrow ? 'Widen' : 'Narrow to icons'}
      >
        {narrow ? <PanelLeftOpen className="h-4 w-4" /> : <PanelLeftClose className="h-4 w-4" />}
      </button>
    </nav>
  );
}
