/** Components within a review, with a vocabulary of their own and a server made of a table of answers. */
import { useEffect, type ReactNode } from 'react';
import type { Heading, Vocabulary } from '@even-lantern/core';
import type {
  Candidates,
  DatabaseProfile,
  Review,
  ReviewTerm,
  TermCount,
  VocabularySummary,
} from '@even-lantern/contract';
import { Outlet, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { UndoProvider } from '../review/undo.js';
import { lanesOfReview, type ReviewLane } from '../review/lanes.js';
import { useReview, type ReviewContext } from '../review/useReview.js';
import { fakeServer, type FakeRequest } from './fakeServer.js';
import { renderAt } from './renderAt.js';

export const heading = (label: string, broader: string[], entryTerms: string[] = []): Heading => ({
  label,
  entryTerms,
  scopeNote: label === 'Sleepiness' ? 'The wish to sleep.' : '',
  broader,
  related: label === 'Light therapy' ? ['Lighting'] : [],
  historyNote: null,
  subheadings: label === 'Light therapy' ? ['dose'] : [],
});

export const vocabulary: Vocabulary = {
  id: 'tree',
  name: 'A tree',
  release: '2026-10-01',
  headings: [
    heading('Treatments', []),
    heading('Light therapy', ['Treatments'], ['phototherapy', 'bright light treatment']),
    heading('Dawn simulation', ['Light therapy']),
    heading('Light glasses', ['Light therapy']),
    heading('Lighting', ['Treatments'], ['lamps']),
    heading('Sleepiness', [], ['drowsiness']),
  ],
};

export const summaryOf = (
  { id, name, release, headings }: Vocabulary,
  databases: string[],
): VocabularySummary => ({ id, name, release, headings: headings.length, databases, imported: null });

export const database: DatabaseProfile = {
  id: 'db',
  name: 'A database',
  description: '',
  release: '2026-10-01',
  simulated: true,
  state: 'ready' as const,
  trouble: null,
  records: 100,
  vocabulary: { id: 'tree', name: 'A tree' },
  limits: {},
  dialect: { kind: 'corvane', names: {}, lacks: [] },
  reached: 'shipped',
  releases: ['2026-10-01'],
  nextRelease: null,
  about: null,
  budget: { atOnce: 6, perSecond: null },
};

export const term = (
  id: string,
  content: ReviewTerm['content'],
  parts: Partial<ReviewTerm> = {},
): ReviewTerm => ({
  id,
  laneId: 'l-i',
  origin: 'typed',
  heldBack: null,
  version: 1,
  content,
  ...parts,
});

export function reviewWith(terms: ReviewTerm[]): Review {
  const element = (id: string, key: 'P' | 'I', text: string) => ({
    id,
    key,
    text,
    note: '',
    searched: true,
    version: 1,
  });
  const lane = (id: string, elementId: string, own: ReviewTerm[]) => ({
    id,
    elementId,
    name: '',
    leftOut: false,
    version: 1,
    terms: own,
  });
  return {
    id: 'r1',
    title: 'Lamps',
    version: 1,
    framework: 'pico',
    linesFor: 'term',
    elements: [element('e-p', 'P', 'nurses'), element('e-i', 'I', 'bright light')],
    lanes: [lane('l-p', 'e-p', []), lane('l-i', 'e-i', terms)],
    shelf: [],
    limits: [],
    ownLines: [],
    accepted: [],
    ladder: null,
  };
}

/** Counts by what is asked for: a number for each text or label. */
export const countsBy =
  (hits: (content: Candidates['contents'][number]) => number) =>
  ({ body }: FakeRequest): TermCount[] =>
    (body as Candidates).contents.map((content) => ({
      hits: hits(content),
      adds: hits(content),
      error: null,
    }));

/**
 * Renders what a review and its second lane are shown by.
 * @param entry of the ledger, where what is shown is at its address
 */
export function renderInReview(
  review: Review,
  content: (lane: ReviewLane) => ReactNode,
  answers: Parameters<typeof fakeServer>[0] = {},
  open: DatabaseProfile | null = database,
  entry: number | null = null,
) {
  const asked = fakeServer({
    'GET vocabularies': () => [summaryOf(vocabulary, ['A database'])],
    'GET vocabularies/tree': () => vocabulary,
    'GET crosswalk': () => [],
    'GET reviews/r1': () => review,
    'POST reviews/r1/candidates': countsBy(() => 7),
    'GET databases/db/words': () => ({ words: [], more: false }),
    'GET reviews/r1/peer-reviews': () => [],
    'POST reviews/r1/undo': () => ({ words: null, at: null }),
    'POST reviews/r1/redo': () => ({ words: null, at: null }),
    'POST samples': () => ({ hits: 0, error: null, records: [] }),
    ...answers,
  });
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
  const context: ReviewContext = { review, database: open };
  const user = renderAt(
    entry === null ? '/reviews/r1' : `/reviews/r1/ledger/${entry}`,
    <UndoProvider>
      <Routes>
        <Route path="/reviews/:reviewId" element={<Outlet context={context} />}>
          <Route index element={<InLane content={content} />} />
          <Route path="ledger/:entry" element={<InLane content={content} />} />
          <Route path="*" element={<p>Another page</p>} />
        </Route>
      </Routes>
      <Toaster />
    </UndoProvider>,
  );
  return { user, asked };
}

function InLane({ content }: { content: (lane: ReviewLane) => ReactNode }) {
  const { review } = useReview();
  const lane = lanesOfReview(review)[1];
  useEffect(() => {
    if (lane === undefined) throw new Error('the review has no second lane');
  }, [lane]);
  return lane === undefined ? null : content(lane);
}
