/** Each stage comes when it is opened first, so that none waits for the others. */
import { lazy } from 'react';

const imports = {
  question: async () => ({ default: (await import('../stages/question/QuestionStage.js')).QuestionStage }),
  concepts: async () => ({ default: (await import('../stages/concepts/ConceptsStage.js')).ConceptsStage }),
  searches: async () => ({ default: (await import('../stages/searches/SearchesStage.js')).SearchesStage }),
  databases: async () => ({
    default: (await import('../stages/databases/DatabasesStage.js')).DatabasesStage,
  }),
  'databases/add': async () => ({
    default: (await import('../stages/databases/AddDatabase.js')).AddDatabase,
  }),
  'databases/one': async () => ({
    default: (await import('../stages/databases/DatabasePage.js')).DatabasePage,
  }),
  'databases/change': async () => ({
    default: (await import('../stages/databases/ChangeDatabase.js')).ChangeDatabase,
  }),
  limits: async () => ({ default: (await import('../stages/limits/LimitsStage.js')).LimitsStage }),
  ledger: async () => ({ default: (await import('../stages/ledger/EntryPage.js')).EntryPage }),
  records: async () => ({ default: (await import('../stages/records/RecordsStage.js')).RecordsStage }),
};
type StageName = keyof typeof imports;

export const QuestionStage = lazy(imports.question);
export const ConceptsStage = lazy(imports.concepts);
export const SearchesStage = lazy(imports.searches);
export const DatabasesStage = lazy(imports.databases);
export const AddDatabase = lazy(imports['databases/add']);
export const DatabasePage = lazy(imports['databases/one']);
export const ChangeDatabase = lazy(imports['databases/change']);
export const LimitsStage = lazy(imports.limits);
export const RecordsStage = lazy(imports.records);
export const EntryPage = lazy(imports.ledger);
export const GuidePage = lazy(async () => ({
  default: (await import('../stages/guide/GuidePage.js')).GuidePage,
}));
export const VocabulariesPage = lazy(async () => ({
  default: (await import('../stages/vocabularies/VocabulariesPage.js')).VocabulariesPage,
}));

/** Begins to fetch a stage before it is shown; what is no stage is left. */
export function fetchStage(name: string): void {
  if (name in imports) void imports[name as StageName]();
}
