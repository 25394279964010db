import type { BibRecord } from '../records/index.js';

/** A record with only the given parts filled. */
export function sampleRecord(parts: Partial<BibRecord>): BibRecord {
  return {
    accession: 'CMI0000001',
    title: '',
    abstract: [],
    keywords: [],
    authors: [],
    journal: '',
    year: 2020,
    volume: '',
    issue: '',
    pages: '',
    doi: null,
    language: 'English',
    publicationTypes: [],
    headings: [],
    limits: {},
    entered: null,
    changed: null,
    ...parts,
  };
}
