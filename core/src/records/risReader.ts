/** Reading RIS: tags of two letters, one value a line; a record ends with `ER`. */
import { nameOf } from './dublinCore.js';
import { emptyRecord, type BibRecord } from './model.js';

/** A line that could not be read, or a record that could not. */
export interface RecordTrouble {
  /** from 1 */
  line: number;
  message: string;
}

export interface ReadRecords {
  records: BibRecord[];
  troubles: RecordTrouble[];
}

const LINE = /^([A-Z][A-Z0-9]) {2}-(?: (.*))?$/;
const YEAR = /\b(\d{4})\b/;

/**
 * Reads RIS. What it has no place for is left out; a record without a title is told, not kept.
 * @returns the records in their order, those without an accession with an empty one
 */
export function recordsFromRis(text: string): ReadRecords {
  const records: BibRecord[] = [];
  const troubles: RecordTrouble[] = [];
  let fields: [tag: string, value: string][] = [];
  let begun = 0;
  const close = () => {
    if (fields.length === 0) return;
    const record = recordOf(fields);
    if (record.title === '') troubles.push({ line: begun, message: 'The record has no title.' });
    else records.push(record);
    fields = [];
  };
  for (const [i, raw] of text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\n|\r/)
    .entries()) {
    const line = raw.trimEnd();
    if (line === '') continue;
    const match = LINE.exec(line);
    const last = fields.at(-1);
    if (match === null) {
      // A value goes on in the next line where a program has broken it.
      if (last !== undefined) last[1] = `${last[1]} ${line.trim()}`.trim();
      else troubles.push({ line: i + 1, message: 'The line begins with no tag such as “TI  - ”.' });
      continue;
    }
    const [, tag = '', value = ''] = match;
    if (tag === 'ER' || tag === 'TY') close();
    if (tag === 'ER') continue;
    if (fields.length === 0) begun = i + 1;
    fields.push([tag, value.trim()]);
  }
  close();
  return { records, troubles };
}

function recordOf(fields: readonly (readonly [string, string])[]): BibRecord {
  const all = (...tags: string[]) =>
    fields.filter(([tag, value]) => tags.includes(tag) && value !== '').map(([, value]) => value);
  const first = (...tags: string[]) => {
    for (const tag of tags) {
      const [value] = all(tag);
      if (value !== undefined) return value;
    }
    return '';
  };
  const abstract = first('AB', 'N2');
  const doi = first('DO').replace(/^(?:doi:\s*|https?:\/\/(?:dx\.)?doi\.org\/)/i, '');
  return {
    ...emptyRecord(),
    accession: first('AN', 'ID'),
    title: first('TI', 'T1'),
    abstract: abstract === '' ? [] : [{ label: null, text: abstract }],
    keywords: all('KW'),
    authors: all('AU', 'A1').map(nameOf),
    journal: first('T2', 'JO', 'JF', 'JA'),
    year: Number(YEAR.exec(first('PY', 'Y1', 'DA'))?.[1] ?? 0),
    volume: first('VL'),
    issue: first('IS'),
    pages: [first('SP'), first('EP')].filter((page) => page !== '').join('-'),
    doi: doi === '' ? null : doi,
    language: first('LA'),
  };
}
