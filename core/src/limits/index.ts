export type { ValuesOfKind, LimitKind } from './kind.js';
export { LIMIT_KINDS, limitKind } from './kinds/index.js';
export { LIMIT_WAYS, LONGEST_FILTER_NAME } from './model.js';
export type {
  FilterSource,
  OwnWords,
  Limit,
  LimitValues,
  LimitWay,
  ValuesChosen,
  YearsChosen,
} from './model.js';
export { applyLimit, filterSourceText, limitText, ownField, valuesText, waysOf, wayText } from './apply.js';
export type { AppliedLimit, LimitsOfDatabase } from './apply.js';
export { profileQueries, stepWarnings } from './profile.js';
export type { StepCounts, StepLimit, StepQueries } from './profile.js';
export { filterWordsProblem, limitFindings, LONGEST_VALUE, MOST_VALUES, valuesProblem } from './check.js';
export type { LimitFinding } from './check.js';
export { profilePicture } from './picture.js';
export type { PictureStep, ProfilePicture } from './picture.js';
export { appliedLimits, limitsOfDatabase, limitsSince } from './since.js';
export type { DescribedLimits, LimitsSince } from './since.js';
export { describedLimits, MATCHABLE_KINDS, proposeLimits } from './propose.js';
export type { MatchedLimit } from './propose.js';
