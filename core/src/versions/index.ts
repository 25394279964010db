export { stateOfThings, thingsOf } from './editable.js';
export type {
  EditableElement,
  EditableState,
  LetStand,
  ReasonedRung,
  ShelfState,
  Thing,
  Things,
} from './editable.js';
export { isMoreWriting, joinedSteps, reversed, stepBetween, takeBack } from './editStep.js';
export type { EditStep, OrderChange, TakenBack, ThingChange } from './editStep.js';
export { compareStates, withLanesOf } from './state.js';
export type { LaneState, StrategyChange, StrategyState, WrittenState } from './state.js';
export { stepInWords } from './stepInWords.js';
