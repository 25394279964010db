import { Navigate, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { ConceptsStage } from '../stages/concepts/ConceptsStage.js';
import { QuestionStage } from '../stages/question/QuestionStage.js';
import { RecordsStage } from '../stages/records/RecordsStage.js';
import { ReviewsPage } from '../stages/reviews/ReviewsPage.js';
import { SearchesStage } from '../stages/searches/SearchesStage.js';
import { VocabulariesPage } from '../stages/vocabularies/VocabulariesPage.js';
import { PersonGate } from './PersonGate.js';
import { Shell } from './Shell.js';
import { UndoProvider } from './undo.js';

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
            <Route path="records" element={<RecordsStage />} />
          </Route>
          <Route path="/vocabularies" element={<VocabulariesPage />} />
          <Route path="*" element={<Navigate to="/reviews" replace />} />
        </Routes>
      </UndoProvider>
      <Toaster position="bottom-right" />
    </PersonGate>
  );
}
