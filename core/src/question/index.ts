export {
  arrangeElements,
  ELEMENT_KEYS,
  elementShape,
  FRAMEWORK_IDS,
  frameworkOf,
  FRAMEWORKS,
  QUESTION_TYPES,
  questionTypeOf,
} from './elements.js';
export type {
  ElementKey,
  ElementShape,
  Framework,
  FrameworkId,
  QuestionElement,
  QuestionType,
} from './elements.js';
export { recommend } from './recommend.js';
export type { FoundWorks, Recommendation, Suitability, Advice } from './recommend.js';
export { questionSentence } from './sentence.js';
export { elementOfRole, ROLES } from './roles.js';
export type { Role } from './roles.js';
export { REVIEW_STAGES, stageOf } from './progress.js';
export type { Progress, ReviewStage } from './progress.js';
