export { likelyDesigns } from './classify.js';
export type { ClassifyOptions, LikelyDesign, Sign } from './classify.js';
export { readDesignRules } from './rules.js';
export type { DesignRule, DesignRules, PatternPart, RulePlace, RuleProblem } from './rules.js';
export { designTree, groupedDesigns } from './taxonomy.js';
export type { DesignTree } from './taxonomy.js';
export {
  DESIGN_FILTERS,
  designFilter,
  filterPhrases,
  phraseProblem,
  phrasesQuery,
  STRENGTHS,
  STRENGTH_NAMES,
} from './filters.js';
export type { DesignFilter, Strength } from './filters.js';
export { filterFigures, wilson } from './figures.js';
export { enoughKnown, filterCounts, LEAST_KNOWN } from './known.js';
export type { FilterCounts, FilterFigures, Share } from './figures.js';
export { BACKGROUND_DESIGNS, proposedLadder } from './ladder.js';
export type { LadderRung } from './ladder.js';
