/** Reading RIS: tags of two letters, one value a line; a record ends with `ER`. */
import { emptyRecord, type BibRecord } from '../model.js';
import { sectionsOfText } from './abstracts.js';
import { doiIn, plainDoi } from './doi.js';
import type { ReadRecords, RecordTrouble } from './format.js';
import { isBody, nameOf } from './names.js';
import { pagesOf } from './pages.js';
import { typeOfRis } from './types.js';

/** The standard has two spaces before the dash; some programs write one, or a tab. */
const LINE = /^([A-Z][A-Z0-9])[ \t]{1,2}-(?:[ \t]?(.*))?$/;
/** Tags that are indented, in small letters, or before another dash: only those that there are, since text goes on in lines too. */
const LOOSE_LINE = /^[ \t]{0,8}([A-Za-z][A-Za-z0-9])[ \t]{2}[-–—](?:[ \t]?(.*))?$/;
/** As other tagged forms have them, where no record begins with `TY`. */
const LONG_TAG = /^([A-Z]{3,4})[ \t]{0,2}-[ \t]/;
const YEAR = /\b(\d{4})\b/;
/** Tags whose values are taken, and those of the standard that a record here has no place for. */
const TAKEN = new Set([
  'TY', 'ER', 'TI', 'T1', 'AU', 'A1', 'T2', 'JO', 'JF', 'JA', 'PY', 'Y1', 'DA', 'VL', 'IS', 'SP', 'EP', 'DO', 'LA', 'AB',
  'N2', 'KW', 'AN', 'ID', 'M3', 'UR', 'L1', 'L2', 'L3', 'LK', 'N1', 'C7', 'DB', 'BT', 'CT',
]); // prettier-ignore
const OF_THE_STANDARD =
  /^(A[2-4]|AD|AV|C[1-8]|CA|CN|CP|CY|DP|ED|ET|J[12]|L4|M[12]|NV|OP|PB|PP|RI|RN|RP|SE|SN|ST|T3|TA|TT|U[1-5]|VO|Y2)$/;

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
  /** tags of the standard that no record here has a place for */
  const unkept = new Map<string, number>();
  let firstUnkept = 0;
  let withoutType = 0;
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
    const record = recordOf(fields, (message) => trouble(begun, message));
    if (!fields.some(({ tag }) => tag === 'TY')) withoutType += 1;
    fields = [];
    if (record.title !== '') return record;
    trouble(begun, 'The record has no title.');
    return null;
  };
  const noteUnknown = (tag: string) => {
    const known = unknown.get(tag);
    if (known === undefined) unknown.set(tag, { line: number, times: 1 });
    else known.times += 1;
  };
  const hasType = () => fields.some(({ tag }) => tag === 'TY');
  return {
    line(raw) {
      number += 1;
      const line = (number === 1 ? raw.replace(/^\uFEFF/, '') : raw).trimEnd();
      // In other tagged forms an empty line is all that parts two records.
      if (line.trim() === '') return hasType() ? null : close();
      const match = LINE.exec(line) ?? looseLine(line);
      const long = match === null && !hasType() ? LONG_TAG.exec(line) : null;
      if (long !== null) {
        noteUnknown(long[1] ?? '');
        if (fields.length === 0) begun = number;
        fields.push({ tag: long[1] ?? '', value: '' });
        return null;
      }
      if (match === null) {
        // A value goes on in the next line where a program has broken it.
        const last = fields.at(-1);
        if (last !== undefined) last.value = `${last.value} ${line.trim()}`.trim();
        else trouble(number, 'The line begins with no tag such as “TI  - ”.');
        return null;
      }
      const [, written = '', value = ''] = match;
      const tag = written.toUpperCase();
      const ended = tag === 'ER' || tag === 'TY' ? close() : null;
      if (tag === 'ER') return ended;
      if (OF_THE_STANDARD.test(tag) && !TAKEN.has(tag)) {
        if (unkept.size === 0) firstUnkept = number;
        unkept.set(tag, (unkept.get(tag) ?? 0) + 1);
      } else if (!TAKEN.has(tag)) noteUnknown(tag);
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
      if (unkept.size > 0) {
        const tags = [...unkept].map(([tag, times]) => `${tag} (${times})`).join(', ');
        trouble(
          firstUnkept,
          `Records here have no place for these tags, so their lines are left out: ${tags}.`,
        );
      }
      if (withoutType > 0) {
        const each = withoutType === 1 ? 'One record does' : `${withoutType} records do`;
        trouble(1, `${each} not begin with TY, as RIS has it; an empty line was taken for the end of each.`);
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

function looseLine(line: string): RegExpExecArray | null {
  const match = LOOSE_LINE.exec(line);
  const tag = match?.[1]?.toUpperCase() ?? '';
  return TAKEN.has(tag) || OF_THE_STANDARD.test(tag) ? match : null;
}

/** @param tell is told what cannot be taken as it stands */
function recordOf(fields: readonly Field[], tell: (message: string) => void): BibRecord {
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
  const dated = first('PY', 'Y1', 'DA');
  const year = Number(YEAR.exec(dated)?.[1] ?? 0);
  if (year === 0 && dated !== '') tell(`“${dated}” is no year of four digits; the year is left open.`);
  const title = first('TI', 'T1', 'CT');
  const container = first('T2', 'JO', 'JF', 'JA');
  const described = all('M3').filter((each) => doiIn([each]) === null);
  return {
    ...emptyRecord(),
    accession: accessionIn(first('AN'), first('ID')),
    title: title || first('BT'),
    abstract: [...new Set(all('AB', 'N2'))].flatMap(sectionsOfText),
    keywords: all('KW').flatMap(partsOf),
    authors: all('AU', 'A1').flatMap((value) => namesIn(value).map(nameOf)),
    journal: container || (title === '' ? '' : first('BT')),
    year,
    volume: first('VL'),
    issue: first('IS'),
    pages: pagesOf(first('SP'), first('EP')),
    doi,
    language: first('LA'),
    publicationTypes: described.length > 0 ? described : type === null ? [] : [type],
  };
}

/** Some programs write all keywords or authors in one line, separated by semicolons. */
function partsOf(value: string): string[] {
  return value
    .split(/\s*;\s*/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

/** Others join authors by “and”; the names of bodies have it within. */
function namesIn(value: string): string[] {
  return partsOf(value).flatMap((name) => (isBody(name) ? [name] : name.split(/\s+(?:and|&)\s+/)));
}

/** Programs that number the records of each file from 1 name nothing by that; one of ours has the database before it. */
function accessionIn(accession: string, id: string): string {
  const counted = (text: string) => /^\d{1,5}$/.test(text);
  if (accession !== '' && !counted(accession)) return accession;
  return counted(id) || id.includes(':') ? '' : id;
}
