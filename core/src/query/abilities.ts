import type { SearchField } from './model.js';

/** What a dialect can say. */
export interface Abilities {
  fields: readonly SearchField[];
  /** limits on the year */
  years: boolean;
  /** `*` at the end of a word that stands alone */
  anyEnding: boolean;
  /** `?` for one letter in a word that stands alone */
  oneLetter: boolean;
  /** patterns within a phrase */
  inPhrase: { anyEnding: boolean; oneLetter: boolean };
  near: null | {
    ordered: boolean;
    /** words of different fields near each other, which no record can hold */
    acrossFields: boolean;
    /** phrases and patterns, or else single whole words only */
    phrases: boolean;
  };
  headings: null | {
    /** all headings below one, without naming them */
    narrower: boolean;
    central: boolean;
    subheadings: boolean;
    anyVocabulary: boolean;
  };
  /** references to other lines */
  lines: boolean;
}
