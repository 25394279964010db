// What the interface needs at run time stands in files without schemas, so that it does not carry their library.
export * from './databases.js';
export * from './decisions.js';
export * from './people.js';
export * from './personHeader.js';
export * from './problems.js';
export * from './reviews.js';
export * from './concepts.js';
export * from './reviewStanding.js';
export * from './records.js';
export * from './runs.js';
export * from './vocabularies.js';
export * from './files.js';
export * from './lineTexts.js';
export * from './limits.js';
export * from './translations.js';
export * from './databaseChoices.js';
export * from './addedDatabases.js';
