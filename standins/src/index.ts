export { readVocabularies } from './content.js';
export { openDatabases, readContent, standInApplication } from './application.js';
export type { StandInOptions } from './application.js';
export { generateRecords } from './generate.js';
export type { Content, GenerateOptions } from './generate.js';
