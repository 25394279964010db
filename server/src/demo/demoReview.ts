import type { ElementKey, TermContent } from '@even-lantern/core';

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

interface DemoElement {
  text: string;
  note: string;
  searched: boolean;
  terms: TermContent[];
}

const elements: Partial<Record<ElementKey, DemoElement>> = {
  P: {
    text: 'adult hospital staff on night or rotating shifts',
    note: 'Nurses are most of those studied; porters, laboratory staff and doctors count too.',
    searched: true,
    terms: [
      heading('Shift work'),
      heading('Hospital staff'),
      words('"night shift*"'),
      words('nightwork*'),
      words('rotating shift*'),
      words('"working nights"'),
      words('nurse* night*', 5),
    ],
  },
  I: {
    text: 'timed exposure to bright light',
    note: 'Lamps, glasses and ward lighting. Light by day for patients is another question.',
    searched: true,
    terms: [
      heading('Light therapy'),
      heading('Lighting'),
      words('bright light*', 3),
      words('phototherap*'),
      words('"blue-enriched light"'),
      words('"light glasses"'),
    ],
  },
  C: {
    text: 'usual or dim lighting',
    note: 'Seldom said in abstracts, so not searched.',
    searched: false,
    terms: [],
  },
  O: {
    text: 'sleepiness on duty and sleep after the shift',
    note: 'Searched for now; compare the count with and without it.',
    searched: true,
    terms: [
      heading('Sleepiness'),
      heading('Sleep'),
      words('sleepi*'),
      words('drows*'),
      words('"day sleep"'),
      words('alertness'),
    ],
  },
};

/** The demo: timed bright light for hospital staff who work at night. */
export const demoReview = {
  person: 'Mara Quillfeather',
  title: 'Bright light at night',
  elements,
};

export const emptyReviewTitle = 'Woken on call';
