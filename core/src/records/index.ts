export type { AbstractSection, BibRecord, HeadingAssignment, PersonName } from './model.js';
export { sectionsOf } from './sections.js';
