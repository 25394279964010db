export { recordFromDublinCore, recordToDublinCore } from './dublinCore.js';
export * from './formats/index.js';
export type { AbstractSection, BibRecord, HeadingAssignment, PersonName, RelatedRecord } from './model.js';
export { emptyRecord } from './model.js';
export { MODS_NAMESPACE, recordFromMods, recordToMods } from './mods.js';
export { accessionFor, NO_RECORDS, readRecords, recordNumbering } from './readRecords.js';
export type { RecordNumbering } from './readRecords.js';
export { sharedWorks, worksApart, workSigns, type Shared, type WorkSigns } from './sameWork.js';
export { forEachSection, sectionsOf } from './sections.js';
export {
  childAt,
  childrenNamed,
  escapeXml,
  parseXml,
  textAt,
  XML_BOUNDS,
  xmlReader,
  XmlRefusal,
} from './xml.js';
export type { XmlBounds, XmlElement, XmlResult } from './xml.js';
export { recordFromXml, xmlRecords, type XmlRecords } from './xmlRecords.js';
