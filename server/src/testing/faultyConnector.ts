import { emptyRecord, type BibRecord } from '@even-lantern/core';
import { DatabaseError, type DatabaseConnector } from '../connectors/databaseConnector.js';

export interface FaultyConnector extends DatabaseConnector {
  /** how many more calls succeed before the database goes away; Infinity for good behaviour */
  callsLeft: number;
  release: string;
  hits: number;
  /** while set, calls wait for it */
  gate: Promise<void> | null;
}

/** A database of `hits` records that can be made to fail, for the ends of runs that a real one seldom shows. */
export function faultyConnector(hits: number): FaultyConnector {
  const connector: FaultyConnector = {
    callsLeft: Infinity,
    release: '2026-10-01',
    hits,
    gate: null,
    async explain() {
      const { release } = connector;
      return {
        name: 'Faulty',
        description: '',
        release,
        simulated: true,
        records: hits,
        vocabulary: null,
        limits: {},
        dialect: null,
        reached: 'shipped',
        releases: [],
        nextRelease: null,
        about: null,
        pageCap: 10,
      };
    },
    async count() {
      await pass();
      return { hits: connector.hits, release: connector.release, understood: '' };
    },
    async search(_query, { start, size }, signal) {
      await pass();
      if (signal?.aborted === true) throw new DatabaseError('It was stopped.', false);
      const length = Math.max(0, Math.min(size, connector.hits - start + 1));
      const records = Array.from({ length }, (_, i) => recordOf(start + i));
      return { hits: connector.hits, release: connector.release, understood: '', records };
    },
    async facets() {
      await pass();
      return { hits: connector.hits, facets: { year: [{ value: '2026', count: connector.hits }] } };
    },
    async scan() {
      await pass();
      return [];
    },
    vocabulary: () => Promise.resolve(''),
    advance: () => Promise.reject(new DatabaseError('faulty.test cannot be advanced.', true)),
  };
  const pass = async () => {
    await connector.gate;
    connector.callsLeft -= 1;
    if (connector.callsLeft < 0) throw new DatabaseError('faulty.test cannot be reached.', false);
  };
  return connector;
}

function recordOf(number: number): BibRecord {
  return {
    ...emptyRecord(),
    accession: `F${number}`,
    title: `=Record ${number}`,
    authors: [{ family: 'Ortvik', given: 'L' }],
    journal: 'Annals',
    year: 2000 + number,
    language: 'English',
  };
}
