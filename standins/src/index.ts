export { readVocabularies } from './content.js';
export { openDatabases, readContent, standInApplication } from './application.js';
export type { StandInOptions } from './application.js';
export { generateRecords, writeRecords } from './generate.js';
export { STUDY_DESIGNS } from './designs.js';
export type { Content, GenerateOptions, WrittenRecord } from './generate.js';
