export {
  arrangeElements,
  ELEMENT_KEYS,
  elementShape,
  FRAMEWORK_IDS,
  frameworkOf,
  FRAMEWORKS,
} from './elements.js';
export type { ElementKey, ElementShape, Framework, FrameworkId, QuestionElement } from './elements.js';
export { questionSentence } from './sentence.js';
