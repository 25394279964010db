import { Suspense } from 'react';
import { Navigate, Route, Routes, useSearchParams } from 'react-router';
import { Toaster } from 'sonner';
import { ReviewsPage } from '../stages/reviews/ReviewsPage.js';
import { PersonGate } from './PersonGate.js';
import { Shell } from './Shell.js';
import {
  AddDatabase,
  ChangeDatabase,
  ConceptsStage,
  DatabasePage,
  DatabasesStage,
  EntryPage,
  GuidePage,
  LimitsStage,
  QuestionStage,
  RecordsStage,
  SearchesStage,
  VocabulariesPage,
} from './stages.js';
import { Opening } from '../parts/Opening.js';
import { UndoProvider } from '../review/undo.js';

/** Where they cover nothing that is read: the corner below the stages, or, where the ledger is open there, the other one. */
function Notices() {
  const [params] = useSearchParams();
  const ledger = params.get('ledger') === 'open';
  return (
    <Toaster position={ledger ? 'top-right' : 'bottom-left'} offset={ledger ? { top: 56 } : undefined} />
  );
}

export function App() {
  return (
    <PersonGate>
      <UndoProvider>
        <Routes>
          <Route path="/reviews" element={<ReviewsPage />} />
          <Route path="/reviews/:reviewId" element={<Shell />}>
            <Route index element={<Navigate to="question" replace />} />
            <Route path="question" element={<QuestionStage />} />
            <Route path="concepts" element={<ConceptsStage />} />
            <Route path="searches" element={<SearchesStage />} />
            <Route path="databases" element={<DatabasesStage />} />
            <Route path="databases/add" element={<AddDatabase />} />
            <Route path="databases/:database" element={<DatabasePage />} />
            <Route path="databases/:database/change" element={<ChangeDatabase />} />
            <Route path="limits" element={<LimitsStage />} />
            <Route path="records" element={<RecordsStage />} />
            <Route path="ledger/:entry" element={<EntryPage />} />
          </Route>
          <Route
            path="/vocabularies"
            element={
              <Suspense fallback={<Opening what="vocabularies" />}>
                <VocabulariesPage />
              </Suspense>
            }
          />
          {['/guide', '/guide/:page'].map((path) => (
            <Route
              key={path}
              path={path}
              element={
                <Suspense fallback={<Opening what="the guide" />}>
                  <GuidePage />
                </Suspense>
              }
            />
          ))}
          <Route path="*" element={<Navigate to="/reviews" replace />} />
        </Routes>
      </UndoProvider>
      <Notices />
    </PersonGate>
  );
}
