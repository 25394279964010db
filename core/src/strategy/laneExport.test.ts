import { lanesToCsv, lanesToDocument, lanesToMarkdown, type NamedLane } from './index.js';

const lanes: NamedLane[] = [
  {
    id: 'p',
    name: 'night staff | all',
    leftOut: false,
    element: 'P',
    terms: [
      {
        id: 'h',
        origin: 'lookup',
        heldBack: null,
        content: {
          kind: 'heading',
          vocabulary: 'tree',
          label: 'Shift work',
          narrower: ['Night work'],
          central: false,
          subheadings: [],
        },
      },
      {
        id: 'w',
        origin: 'typed',
        heldBack: '=too broad',
        content: { kind: 'words', text: 'work*', field: 'words', near: null },
      },
    ],
  },
  { id: 'i', name: 'light', leftOut: false, element: 'I', terms: [] },
];

test('lanes as JSON hold all that is needed to make them again, and no more', () => {
  const document = lanesToDocument('Lamps', lanes);
  expect(document.form).toBe('even-lantern-lanes/2');
  expect(document.lanes[0]?.terms[0]).toEqual({
    content: lanes[0]?.terms[0]?.content,
    origin: 'lookup',
    heldBack: null,
  });
  expect(JSON.parse(JSON.stringify(document))).toEqual(document);
});

test('lanes as a table for other programs have one row a term, and no cell acts as a formula', () => {
  expect(lanesToCsv(lanes).split('\r\n')).toEqual([
    'lane,element,joined with,kind,term,how it is searched,held back because,came from',
    'night staff | all,P,AND,heading,Shift work,with Night work,,lookup',
    'night staff | all,P,AND,words,work*,"title, abstract, keywords",\'=too broad,typed',
    '',
  ]);
});

test('lanes as a document can be read as they are, and markup in them does not act', () => {
  const text = lanesToMarkdown('Lamps <b>', lanes);
  expect(text).toContain('# Concepts: Lamps \\<b\\>');
  expect(text).toContain('## P: night staff \\| all');
  expect(text).toContain('| Shift work (heading) | with Night work |');
  expect(text).toContain('| work\\* | held back: =too broad |');
  expect(text).toContain('Nothing to search yet.');
});
