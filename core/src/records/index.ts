export { recordsToCsl } from './csl.js';
export type { CslItem } from './csl.js';
export type { AbstractSection, BibRecord, HeadingAssignment, PersonName, RelatedRecord } from './model.js';
export { MODS_NAMESPACE, recordFromMods, recordToMods } from './mods.js';
export { recordsToRis } from './ris.js';
export { sectionsOf } from './sections.js';
export { childAt, childrenNamed, escapeXml, parseXml, textAt } from './xml.js';
export type { XmlElement, XmlResult } from './xml.js';
