export * from './databases.js';
export * from './people.js';
export * from './problems.js';
export * from './reviews.js';
export * from './runs.js';
export * from './vocabularies.js';
