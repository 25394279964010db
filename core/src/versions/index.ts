export { compareStates } from './state.js';
export type { LaneState, StrategyChange, StrategyState, WrittenState } from './state.js';
