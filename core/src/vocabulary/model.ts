/** Properties of SKOS that are kept as they came, by their names there. The last two hold addresses. */
export const FURTHER_PROPERTIES = [
  'hiddenLabel', 'definition', 'note', 'example', 'changeNote', 'editorialNote', 'notation', 'exactMatch', 'closeMatch',
] as const; // prettier-ignore
export type FurtherProperty = (typeof FURTHER_PROPERTIES)[number];

/** A controlled vocabulary, in the terms of ISO 25964. */
export interface Heading {
  /** the preferred label; unique within the vocabulary */
  label: string;
  /** other names that lead to this heading */
  entryTerms: string[];
  scopeNote: string;
  /** labels of the headings directly above; several are common */
  broader: string[];
  related: string[];
  /** when the heading came in and what was used before, or null */
  historyNote: string | null;
  /** names of the subheadings that may qualify this heading */
  subheadings: string[];
  /** its address (an absolute IRI), where it came with one of its own */
  address?: string;
  /** what else it came with; names that are hidden from readers lead to it as entry terms do */
  further?: Partial<Record<FurtherProperty, string[]>>;
}

/** Names other than the label that lead to a heading, those for lookup alone included. */
export function namesLeadingTo({ entryTerms, further }: Heading): readonly string[] {
  return further?.hiddenLabel === undefined ? entryTerms : [...entryTerms, ...further.hiddenLabel];
}

export interface Vocabulary {
  /** short and stable: what queries name */
  id: string;
  name: string;
  /** ISO date of the release */
  release: string;
  headings: Heading[];
  /** the address of the whole (an absolute IRI), where it came with one of its own */
  address?: string;
}

/** A vocabulary made ready for walking: built once by `indexVocabulary`. */
export interface VocabularyTree {
  vocabulary: Vocabulary;
  /** by `textKey` of the label */
  byLabel: ReadonlyMap<string, Heading>;
  /** headings by `textKey` of an entry term; one entry term may lead to several */
  byEntryTerm: ReadonlyMap<string, readonly Heading[]>;
  /** headings directly below, by label */
  narrower: ReadonlyMap<string, readonly Heading[]>;
}
