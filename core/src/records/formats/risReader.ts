/** Reading RIS: tags of two letters, one value a line; a record ends with `ER`. */
import { emptyRecord, type BibRecord } from '../model.js';
import { sectionsOfText } from './abstracts.js';
import { doiIn, plainDoi } from './doi.js';
import type { ReadRecords, RecordTrouble } from './format.js';
import { nameOf } from './names.js';
import { pagesOf } from './pages.js';
import { typeOfRis } from './types.js';

/** The standard has two spaces before the dash; some programs write one, or a tab. */
const LINE = /^([A-Z][A-Z0-9])[ \t]{1,2}-(?:[ \t]?(.*))?$/;
const YEAR = /\b(\d{4})\b/;
/** Tags whose values are taken, and those of the standard that a record here has no place for. */
const TAKEN = new Set([
  'TY', 'ER', 'TI', 'T1', 'AU', 'A1', 'T2', 'JO', 'JF', 'JA', 'PY', 'Y1', 'DA', 'VL', 'IS', 'SP', 'EP', 'DO', 'LA', 'AB',
  'N2', 'KW', 'AN', 'ID', 'M3', 'UR', 'L1', 'L2', 'L3', 'LK', 'N1', 'C7', 'DB',
]); // prettier-ignore
const OF_THE_STANDARD =
  /^(A[2-4]|AD|AV|BT|C[1-8]|CA|CN|CP|CT|CY|DP|ED|ET|J[12]|L4|M[12]|NV|OP|PB|PP|RI|RN|RP|SE|SN|ST|T3|TA|TT|U[1-5]|VO|Y2)$/;

interface Field {
  tag: string;
  value: string;
}

/** More than these are counted, not listed: a file that is no RIS at all has as many as it has lines. */
const MOST_TROUBLES = 200;

/** Reads RIS line by line, so that a large file need not be held. */
export interface RisCollector {
  /** @returns the record that the line ends, if it ends one that can be kept */
  line(text: string): BibRecord | null;
  /** @returns the record that was open, if any, and all that was not understood, by line */
  end(): { record: BibRecord | null; troubles: RecordTrouble[] };
}

export function risCollector(): RisCollector {
  const troubles: RecordTrouble[] = [];
  const unknown = new Map<string, { line: number; times: number }>();
  let unlisted = 0;
  let fields: Field[] = [];
  let begun = 0;
  let number = 0;
  const trouble = (line: number, message: string) => {
    if (troubles.length < MOST_TROUBLES) troubles.push({ line, message });
    else unlisted += 1;
  };
  const close = (): BibRecord | null => {
    if (fields.length === 0) return null;
    const record = recordOf(fields);
    fields = [];
    if (record.title !== '') return record;
    trouble(begun, 'The record has no title.');
    return null;
  };
  return {
    line(raw) {
      number += 1;
      const line = (number === 1 ? raw.replace(/^\uFEFF/, '') : raw).trimEnd();
      if (line === '') return null;
      const match = LINE.exec(line);
      if (match === null) {
        // A value goes on in the next line where a program has broken it.
        const last = fields.at(-1);
        if (last !== undefined) last.value = `${last.value} ${line.trim()}`.trim();
        else trouble(number, 'The line begins with no tag such as “TI  - ”.');
        return null;
      }
      const [, tag = '', value = ''] = match;
      const ended = tag === 'ER' || tag === 'TY' ? close() : null;
      if (tag === 'ER') return ended;
      if (!TAKEN.has(tag) && !OF_THE_STANDARD.test(tag)) {
        const known = unknown.get(tag);
        if (known === undefined) unknown.set(tag, { line: number, times: 1 });
        else known.times += 1;
      }
      if (fields.length === 0) begun = number;
      fields.push({ tag, value: value.trim() });
      return ended;
    },
    end() {
      const record = close();
      for (const [tag, { line, times }] of unknown) {
        const more = times === 1 ? '' : `, and ${times - 1} more like it`;
        trouble(line, `The tag ${tag} is not known; its line is left out${more}.`);
      }
      troubles.sort((a, b) => a.line - b.line);
      if (unlisted > 0) troubles.push({ line: number, message: `And ${unlisted} more.` });
      return { record, troubles };
    },
  };
}

/**
 * Reads RIS. What is not understood is told with its line; a record without a title is told, not kept.
 * @returns the records in their order, those without an accession with an empty one
 */
export function recordsFromRis(text: string): ReadRecords {
  const collector = risCollector();
  const records: BibRecord[] = [];
  for (const line of text.split(/\r\n|\n|\r/)) {
    const record = collector.line(line);
    if (record !== null) records.push(record);
  }
  const { record, troubles } = collector.end();
  return { records: record === null ? records : [...records, record], troubles };
}

function recordOf(fields: readonly Field[]): BibRecord {
  const all = (...tags: string[]) =>
    fields.flatMap(({ tag, value }) => (tags.includes(tag) && value !== '' ? [value] : []));
  const first = (...tags: string[]) => {
    for (const tag of tags) {
      const [value] = all(tag);
      if (value !== undefined) return value;
    }
    return '';
  };
  const doi = plainDoi(first('DO')) ?? doiIn(all('UR', 'L1', 'L2', 'L3', 'LK', 'M3', 'N1', 'ID', 'C7'));
  const type = typeOfRis(first('TY'));
  const described = all('M3').filter((each) => doiIn([each]) === null);
  return {
    ...emptyRecord(),
    accession: accessionIn(first('AN'), first('ID')),
    title: first('TI', 'T1'),
    abstract: sectionsOfText(first('AB', 'N2')),
    keywords: all('KW'),
    authors: all('AU', 'A1').flatMap((value) => namesIn(value).map(nameOf)),
    journal: first('T2', 'JO', 'JF', 'JA'),
    year: Number(YEAR.exec(first('PY', 'Y1', 'DA'))?.[1] ?? 0),
    volume: first('VL'),
    issue: first('IS'),
    pages: pagesOf(first('SP'), first('EP')),
    doi,
    language: first('LA'),
    publicationTypes: described.length > 0 ? described : type === null ? [] : [type],
  };
}

/** Some programs write all authors in one line, separated by semicolons. */
function namesIn(value: string): string[] {
  return value
    .split(/\s*;\s*/)
    .map((name) => name.trim())
    .filter((name) => name !== '');
}

/** Programs that number the records of each file from 1 name nothing by that; one of ours has the database before it. */
function accessionIn(accession: string, id: string): string {
  const counted = (text: string) => /^\d{1,5}$/.test(text);
  if (accession !== '' && !counted(accession)) return accession;
  return counted(id) || id.includes(':') ? '' : id;
}
