import type { ElementKey, TermContent } from '@even-lantern/core';
import type { NewLimit, NewShelfItem } from '@even-lantern/contract';

const heading = (label: string, narrower = true): TermContent => ({
  kind: 'heading',
  vocabulary: 'corvane-subject-tree',
  label,
  narrower,
  central: false,
  subheadings: [],
});
const words = (text: string, near: number | null = null): TermContent => ({
  kind: 'words',
  text,
  field: 'words',
  near,
});

interface DemoLane {
  /** empty for one that is called as its element is */
  name: string;
  terms: TermContent[];
}

interface DemoElement {
  text: string;
  note: string;
  searched: boolean;
  lanes: DemoLane[];
}

const elements: Partial<Record<ElementKey, DemoElement>> = {
  P: {
    text: 'adult hospital staff on night or rotating shifts',
    note: 'Nurses are most of those studied; porters, laboratory staff and doctors count too.',
    searched: true,
    lanes: [
      {
        name: 'hospital staff',
        terms: [
          heading('Hospital staff'),
          words('nurse*'),
          words('"hospital staff"'),
          words('"ward staff"'),
          words('"night staff"'),
        ],
      },
      {
        name: 'night or rotating shifts',
        terms: [
          heading('Shift work'),
          words('"night shift*"'),
          words('nightwork*'),
          words('rotating shift*'),
          words('"working nights"'),
          words('shift* night*', 5),
        ],
      },
    ],
  },
  I: {
    text: 'timed exposure to bright light',
    note: 'Lamps, glasses and ward lighting. Light by day for patients is another question.',
    searched: true,
    lanes: [
      {
        name: '',
        terms: [
          heading('Light therapy'),
          heading('Lighting'),
          words('bright light*', 3),
          words('phototherap*'),
          words('"blue-enriched light"'),
          words('"light glasses"'),
        ],
      },
    ],
  },
  C: {
    text: 'usual or dim lighting',
    note: 'Seldom said in abstracts, so not searched.',
    searched: false,
    lanes: [],
  },
  O: {
    text: 'sleepiness on duty and sleep after the shift',
    note: 'Searched for now; compare the count with and without it.',
    searched: true,
    lanes: [
      {
        name: '',
        terms: [
          heading('Sleepiness'),
          heading('Sleep'),
          words('sleepi*'),
          words('drows*'),
          words('"day sleep"'),
          words('alertness'),
        ],
      },
    ],
  },
};

/** Words that were seen and are kept for later. */
const shelf: NewShelfItem[] = [
  { name: 'melatonin', contents: [words('melatonin*')], origin: 'typed', source: '' },
  { name: '"light room"', contents: [words('"light room"')], origin: 'typed', source: '' },
  {
    name: 'Dynamic lighting',
    contents: [heading('Dynamic lighting')],
    origin: 'lookup',
    source: 'narrower headings of Lighting',
  },
];

/** Set after the first records were read, so that the profile shows what they would lose of what was kept. */
const limits: NewLimit[] = [
  {
    kind: 'years',
    values: { kind: 'years', from: 2005, to: null },
    reason: 'Light sources of the kind asked about came in about 2005.',
    on: true,
    ways: {},
  },
  {
    kind: 'language',
    values: { kind: 'values', values: ['English', 'French'] },
    reason: 'What the two of us can read.',
    on: true,
    ways: {},
  },
  {
    kind: 'humans',
    values: { kind: 'values', values: ['yes'] },
    reason: 'Not needed: it only loses what has not been indexed.',
    on: false,
    ways: {},
  },
];

/** The demo: timed bright light for hospital staff who work at night. */
export const demoReview = {
  person: 'Mara Quillfeather',
  title: 'Bright light at night',
  elements,
  shelf,
  limits,
};

export const emptyReviewTitle = 'Woken on call';
