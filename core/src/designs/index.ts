export { likelyDesigns } from './classify.js';
export type { ClassifyOptions, LikelyDesign, Sign } from './classify.js';
export { readDesignRules } from './rules.js';
export type { DesignRule, DesignRules, PatternPart, RulePlace, RuleProblem } from './rules.js';
export { designTree, groupedDesigns } from './taxonomy.js';
export type { DesignTree } from './taxonomy.js';
