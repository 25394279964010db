/** Reading a file of records, whatever open format it is in. */
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import type { BibRecord } from './model.js';
import { RECORD_FORMATS, type ReadRecords, type RecordTrouble } from './formats/index.js';
import { xmlRecords } from './xmlRecords.js';

/** What a record is known by where nobody gave it a number: the same for the same title, year and authors. */
export function accessionFor({ title, year, authors, doi }: BibRecord): string {
  const named = [doi ?? '', title.toLowerCase(), year, ...authors.map(({ family }) => family.toLowerCase())];
  return `x${bytesToHex(sha256(utf8ToBytes(JSON.stringify(named)))).slice(0, 16)}`;
}

/** Gives every record of a file an accession, each only once, and tells of those that came twice. */
export interface RecordNumbering {
  /** @returns the record as it is kept; null where it is there already */
  add(record: BibRecord): BibRecord | null;
  troubles: readonly RecordTrouble[];
}

/** What is the same twice is kept once; what only has the number of another is known by what it says. */
export function recordNumbering(): RecordNumbering {
  /** what each accession stands for */
  const known = new Map<string, string>();
  const troubles: RecordTrouble[] = [];
  return {
    troubles,
    add(record) {
      const own = accessionFor(record);
      const accession = record.accession === '' ? own : record.accession;
      const there = known.get(accession);
      if (there === own || (there !== undefined && known.get(own) === own)) {
        troubles.push({ line: 1, message: `“${record.title}” came twice, and is kept once.` });
        return null;
      }
      if (there === undefined) {
        known.set(accession, own);
        return { ...record, accession };
      }
      known.set(own, own);
      const message = `“${record.title}” has the number ${accession} of another record. Both are kept.`;
      troubles.push({ line: 1, message });
      return { ...record, accession: own };
    },
  };
}

export const NO_RECORDS: RecordTrouble = {
  line: 1,
  message: 'The file holds no records. RIS, MODS and Dublin Core can be read.',
};

/**
 * Reads a file of records in RIS, MODS or Dublin Core. Every record has an accession afterwards, and each only once.
 * @returns the records, and what could not be read, or came twice, with its line where there is one
 */
export function readRecords(text: string): ReadRecords {
  const format = RECORD_FORMATS.find(({ read }) => read?.recognises(text) === true);
  const { records, troubles } = format?.read?.records(text) ?? recordsFromXml(text);
  const numbering = recordNumbering();
  const numbered = records.flatMap((record) => numbering.add(record) ?? []);
  const allTroubles = [...troubles, ...numbering.troubles];
  return {
    records: numbered,
    troubles: numbered.length === 0 && allTroubles.length === 0 ? [NO_RECORDS] : allTroubles,
  };
}

function recordsFromXml(text: string): ReadRecords {
  const xml = xmlRecords();
  const first = xml.write(text);
  const { records, troubles } = xml.end();
  return { records: [...first, ...records], troubles };
}
