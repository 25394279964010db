/** A collection of MODS records. */
import type { RecordFormat } from './format.js';
import { MODS_NAMESPACE, recordToMods } from '../mods.js';

export const MODS: RecordFormat = {
  id: 'mods',
  name: 'MODS',
  mediaType: 'application/mods+xml; charset=utf-8',
  extension: 'mods.xml',
  before: `<?xml version="1.0" encoding="UTF-8"?>\n<modsCollection xmlns="${MODS_NAMESPACE}">\n`,
  between: '\n',
  after: '\n</modsCollection>\n',
  write: recordToMods,
  // Read with the other kinds of XML, by `readRecords`.
  read: null,
};
