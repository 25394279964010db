/** What an answer to searchRetrieve tells, from its text. Plain data in and out, so that it can be read in a worker. */
import {
  accessionFor,
  childAt,
  childrenNamed,
  parseXml,
  recordFromXml,
  textAt,
  XML_BOUNDS,
  type BibRecord,
  type XmlElement,
} from '@even-lantern/core';
import { dataOf } from './explain.js';

export interface SearchAnswerText {
  /** as it is written; it may be anything */
  hits: string;
  /** the database says of its count that it is no exact one; SRU 2.0, resultCountPrecision */
  estimated: boolean;
  release: string;
  understood: string;
  diagnostic: { uri: string; message: string } | null;
  records: BibRecord[];
  /** why a record could not be read, where one could not; empty where the server gave no reason */
  unreadable: string | null;
}

export type SearchAnswerResult = { ok: true; answer: SearchAnswerText } | { ok: false; message: string };

/** @param withRecords whether the records are wanted, or the count alone */
export function readSearchAnswer(text: string, withRecords: boolean): SearchAnswerResult {
  const xml = parseXml(text, XML_BOUNDS);
  return xml.ok ? { ok: true, answer: searchAnswerIn(xml.root, withRecords) } : xml;
}

export function searchAnswerIn(root: XmlElement, withRecords: boolean): SearchAnswerText {
  const diagnostic = childAt(root, 'diagnostics', 'diagnostic');
  return {
    hits: textAt(root, 'numberOfRecords'),
    estimated: isEstimate(textAt(root, 'resultCountPrecision')),
    release: textAt(root, 'extraResponseData', 'profile', 'release'),
    understood:
      textAt(root, 'extraResponseData', 'profile', 'understood') ||
      textAt(root, 'echoedSearchRetrieveRequest', 'query'),
    diagnostic: diagnostic && { uri: textAt(diagnostic, 'uri'), message: textAt(diagnostic, 'message') },
    ...(withRecords ? recordsIn(root) : { records: [], unreadable: null }),
  };
}

/** The vocabulary of SRU 2.0 has exact, unknown, estimate, maximum, minimum and current; the last is exact for now. */
function isEstimate(precision: string): boolean {
  return /\b(unknown|estimate|maximum|minimum)$/.test(precision);
}

function recordsIn(root: XmlElement): Pick<SearchAnswerText, 'records' | 'unreadable'> {
  const list = childAt(root, 'records');
  const records: BibRecord[] = [];
  for (const record of list === null ? [] : childrenNamed(list, 'record')) {
    const data = dataOf(record);
    const read = data === null ? null : recordFromXml(data);
    if (read === null || data === null) {
      // In place of a record, a server may send what hinders it from giving that one.
      const unreadable = data?.name === 'diagnostic' ? textAt(data, 'message') : '';
      return { records, unreadable };
    }
    const accession = read.accession || textAt(record, 'recordIdentifier') || accessionFor(read);
    records.push({ ...read, accession });
  }
  return { records, unreadable: null };
}
