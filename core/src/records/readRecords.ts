/** Reading a file of records, whatever open format it is in. */
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { recordFromDublinCore } from './dublinCore.js';
import type { BibRecord } from './model.js';
import { recordFromMods } from './mods.js';
import { recordsFromRis, type ReadRecords } from './risReader.js';
import { childrenNamed, parseXml, type XmlElement } from './xml.js';

/** What a record is known by where nobody gave it a number: the same for the same title, year and authors. */
export function accessionFor({ title, year, authors, doi }: BibRecord): string {
  const named = [doi ?? '', title.toLowerCase(), year, ...authors.map(({ family }) => family.toLowerCase())];
  return `x${bytesToHex(sha256(utf8ToBytes(JSON.stringify(named)))).slice(0, 16)}`;
}

/** A record of one of the schemas that SRU servers give, by the name of its element. */
export function recordFromXml(element: XmlElement): BibRecord | null {
  if (element.name === 'mods') return recordFromMods(element);
  return element.name === 'dc' ? recordFromDublinCore(element) : null;
}

/**
 * Reads a file of records in RIS, MODS or Dublin Core. Every record has an accession afterwards, and each only once.
 * @returns the records, and what could not be read with its line
 */
export function readRecords(text: string): ReadRecords {
  const { records, troubles } = text.trimStart().startsWith('<')
    ? recordsFromXml(text)
    : recordsFromRis(text);
  const numbered = new Map<string, BibRecord>();
  for (const record of records) {
    const accession = record.accession === '' ? accessionFor(record) : record.accession;
    if (!numbered.has(accession)) numbered.set(accession, { ...record, accession });
  }
  if (numbered.size === 0 && troubles.length === 0) {
    const message = 'The file holds no records. RIS, MODS and Dublin Core can be read.';
    return { records: [], troubles: [{ line: 1, message }] };
  }
  return { records: [...numbered.values()], troubles };
}

function recordsFromXml(text: string): ReadRecords {
  const xml = parseXml(text);
  if (!xml.ok) return { records: [], troubles: [{ line: 1, message: xml.message }] };
  const elements = ['mods', 'dc'].includes(xml.root.name)
    ? [xml.root]
    : [...childrenNamed(xml.root, 'mods'), ...childrenNamed(xml.root, 'dc')];
  const read = elements.map(recordFromXml);
  const records = read.filter((record) => record !== null);
  const lost = read.length - records.length;
  const message = `${lost} of ${read.length} records have no title and are not read.`;
  return { records, troubles: lost === 0 ? [] : [{ line: 1, message }] };
}
