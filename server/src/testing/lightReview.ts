/** A review of one lane, in a database of five records on light whose dialect and vocabulary a test chooses. */
import { emptyRecord, type BibRecord, type TermContent, type Vocabulary } from '@even-lantern/core';
import type { Review } from '@even-lantern/contract';
import { laneOf } from './laneOf.js';
import { indexedConnector, type IndexedDatabase } from './indexedConnector.js';
import { testApplication, type TestApplication } from './testApplication.js';

const record = (accession: string, title: string, headings: string[] = []): BibRecord => ({
  ...emptyRecord(),
  accession,
  title,
  journal: 'Annals',
  year: 2020,
  language: 'English',
  headings: headings.map((label) => ({ vocabulary: 'tree', label, central: false, subheadings: [] })),
});
const RECORDS = [
  record('1', 'Light for women at night', ['Light']),
  record('2', 'Light in a ward, and a woman’s sleep'),
  record('3', 'Lamps that give off too little light to read a chart in bed at night'),
  record('4', 'Light therapies'),
  record('5', 'Light therapy', ['Light']),
];
export const vocabulary: Vocabulary = {
  id: 'tree',
  name: 'A tree',
  release: '2026-10-01',
  headings: [
    {
      label: 'Light',
      entryTerms: ['lamps'],
      scopeNote: '',
      broader: [],
      related: [],
      historyNote: null,
      subheadings: [],
    },
  ],
};

export interface LightReview {
  server: TestApplication;
  review: Review;
  /** every query that the database was asked, with its language and release */
  asked: string[];
}

export async function lightReview(
  database: Partial<IndexedDatabase>,
  ...contents: TermContent[]
): Promise<LightReview> {
  const asked: string[] = [];
  const whole = { name: 'A database', dialect: 'corvane', vocabulary, records: RECORDS, ...database };
  // The vocabulary of headings is known by the first database, whatever the second has.
  const server = await testApplication({
    first: indexedConnector({ ...whole, dialect: 'corvane', vocabulary, records: RECORDS }),
    db: indexedConnector(whole, asked),
  });
  const review = (await server.post('/api/reviews', { title: 'Light' })).body as Review;
  const laneId = laneOf(review, 'I').id;
  for (const each of review.elements.filter(({ searched, key }) => searched && key !== 'I')) {
    await server.patch(`/api/elements/${each.id}`, { searched: false }, each.version);
  }
  for (const content of contents) {
    await server.post(`/api/reviews/${review.id}/terms`, { laneId, origin: 'typed', content }).expect(201);
  }
  return { server, review, asked };
}

export const words = (text: string, near: number | null = null): TermContent => ({
  kind: 'words',
  text,
  field: 'words',
  near,
});
export const heading: TermContent = {
  kind: 'heading',
  vocabulary: 'tree',
  label: 'Light',
  narrower: true,
  central: false,
  subheadings: [],
};

/** A vocabulary of Light, and headings below it. */
export const treeWith = (...below: string[]): Vocabulary => ({
  ...vocabulary,
  headings: [
    ...vocabulary.headings,
    ...vocabulary.headings.flatMap((light) =>
      below.map((label) => ({ ...light, label, broader: [light.label], entryTerms: [] })),
    ),
  ],
});
