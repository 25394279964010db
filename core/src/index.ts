export * from './ledger/index.js';
export * from './query/index.js';
export * from './question/index.js';
export * from './records/index.js';
export * from './search/index.js';
export * from './strategy/index.js';
export * from './text/index.js';
export * from './vocabulary/index.js';
