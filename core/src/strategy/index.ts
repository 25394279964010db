export {
  addsQuery,
  compileLanes,
  describeLine,
  describeTerm,
  standaloneQuery,
  termQuery,
} from './compile.js';
export type { TermQueryResult } from './compile.js';
export type { Lane, Line, Strategy, StrategyProblem, Term, TermContent, TermOrigin } from './model.js';
