import type { LimitKind } from '../kind.js';

const NEAREST = 'Words cannot tell who wrote a work: look at the authors while reading.';

export const firstProfession: LimitKind = {
  id: 'firstProfession',
  name: 'First author’s profession',
  about: 'The profession of the first author.',
  values: 'chosen',
  fields: ['firstprofession'],
  nearest: NEAREST,
  lacking: 'no profession recorded',
};

export const anyProfession: LimitKind = {
  id: 'anyProfession',
  name: 'Any author’s profession',
  about: 'The profession of at least one author.',
  values: 'chosen',
  fields: ['anyprofession', 'profession'],
  nearest: NEAREST,
  lacking: 'no profession recorded',
};
