import { questionSentence } from '@even-lantern/core';
import { lazy, Suspense, useEffect } from 'react';
import { Link, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { CountSource } from '../parts/Count.js';
import { useKey } from '../parts/keys/useKey.js';
import { MayFail } from '../parts/MayFail.js';
import { Opening } from '../parts/Opening.js';
import { SkipLink } from '../parts/SkipLink.js';
import { StageIntro } from '../parts/StageIntro.js';
import { ProblemNote } from '../parts/ProblemNote.js';
import { useOpenable } from '../parts/useOpenable.js';
import { usePageTitle } from '../parts/usePageTitle.js';
import { LedgerStrip } from '../stages/ledger/LedgerStrip.js';
import { problemOf } from '../review/api/api.js';
import { reviewApi } from '../review/api/reviewApi.js';
import { useDatabaseChoice } from '../review/useDatabaseChoice.js';
import type { ReviewContext } from '../review/useReview.js';
import { Header } from './Header.js';
import { Rail } from './Rail.js';

/** What opens over the screen comes behind the screen itself. */
const later = {
  commands: async () => ({ default: (await import('./CommandSearch.js')).CommandSearch }),
  help: async () => ({ default: (await import('../parts/keys/KeyHelp.js')).KeyHelp }),
};
const CommandSearch = lazy(later.commands);
const KeyHelp = lazy(later.help);
const LATER_MS = 1000;

/** The id of the element that holds the stage. */
const STAGE = 'stage';
/** What each screen is called, by its part of the address. */
const SCREENS: Readonly<Record<string, string>> = {
  question: 'Question',
  concepts: 'Concepts',
  searches: 'Searches',
  databases: 'Databases',
  limits: 'Limits',
  records: 'Records',
  ledger: 'Ledger',
};

/** The frame: header, stage rail, stage area, ledger strip. */

export function Shell() {
  const { reviewId = '' } = useParams();
  const review = reviewApi.useReviewQuery(reviewId);
  const choice = useDatabaseChoice();
  const stage = useLocation().pathname.split('/')[3] ?? '';
  const commands = useOpenable(STAGE);
  const help = useOpenable(STAGE);
  const navigate = useNavigate();
  useKey('commands', commands.open);
  useKey('help', help.open);
  const goTo = (to: string) => () => void navigate(`/reviews/${reviewId}/${to}`);
  useKey('stage.1', goTo('question'));
  useKey('stage.2', goTo('concepts'));
  useKey('stage.3', goTo('searches'));
  useKey('stage.4', goTo('limits'));
  useKey('stage.5', goTo('records'));

  useEffect(() => {
    const timer = setTimeout(() => void Promise.all([later.commands(), later.help()]), LATER_MS);
    return () => clearTimeout(timer);
  }, []);

  usePageTitle(SCREENS[stage], review.data?.title);

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
      <SkipLink to={STAGE}>Skip to this stage</SkipLink>
      <Header
        title={review.data.title}
        sentence={questionSentence(review.data.elements, review.data.framework)}
        reviewId={reviewId}
        choice={choice}
        onCommands={commands.open}
        onHelp={help.open}
      />
      <div className="flex min-h-0 flex-1 max-md:flex-col">
        <Rail context={context} />
        <div className="flex min-h-0 min-w-0 flex-1 flex-col">
          <StageIntro key={stage} stage={stage} />
          <main
            id={STAGE}
            tabIndex={-1}
            className="relative min-h-0 min-w-0 flex-1 overflow-auto outline-none"
          >
            <CountSource value={database?.id ?? null}>
              <MayFail resetKey={stage}>
                <Suspense fallback={<Opening what={SCREENS[stage]?.toLowerCase() ?? 'the page'} />}>
                  <Outlet context={context} />
                </Suspense>
              </MayFail>
            </CountSource>
          </main>
        </div>
      </div>
      <LedgerStrip reviewId={reviewId} />
      <Suspense fallback={null}>
        {commands.isOpen && (
          <CommandSearch
            open
            onOpenChange={(open) => (open ? commands.open() : commands.close())}
            reviewId={reviewId}
            choice={choice}
          />
        )}
        {help.isOpen && <KeyHelp open onClose={help.close} />}
      </Suspense>
    </div>
  );
}
