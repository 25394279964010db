/** A bibliographic record, as it is searched, shown and exported. */

export interface AbstractSection {
  /** the label of a structured abstract's section, or null in an unstructured one */
  label: string | null;
  text: string;
}

export interface PersonName {
  /** or the whole name of a body */
  family: string;
  /** given names or initials */
  given: string;
  /** whether it is the name of a body, such as a study group, which is never parted */
  corporate?: true;
}

/** A heading given to a record by the database's indexers. */
export interface HeadingAssignment {
  vocabulary: string;
  label: string;
  /** a main subject of the record */
  central: boolean;
  subheadings: string[];
}

/** Another record of the same database that a record points to. */
export interface RelatedRecord {
  /** `references`: cited by this record; `version`: the same work at another stage, such as its preprint */
  relation: 'references' | 'version';
  accession: string;
  title: string;
}

export interface BibRecord {
  /** the database's own number for the record; unique within the database */
  accession: string;
  title: string;
  abstract: AbstractSection[];
  keywords: string[];
  authors: PersonName[];
  journal: string;
  year: number;
  volume: string;
  issue: string;
  pages: string;
  doi: string | null;
  language: string;
  publicationTypes: string[];
  headings: HeadingAssignment[];
  /** values of further limits by field, for example ageGroup: ['adult'] */
  limits: Readonly<Record<string, readonly string[]>>;
  /** when the record came into the database and when it was last changed, as ISO dates; null when not told */
  entered: string | null;
  changed: string | null;
  /** further text that the database holds, such as the search strategy that a review reported */
  fullText?: AbstractSection[];
  related?: RelatedRecord[];
}

/** A record of which nothing is known yet. A year of 0 is one that was not told. */
export function emptyRecord(): BibRecord {
  return {
    accession: '',
    title: '',
    abstract: [],
    keywords: [],
    authors: [],
    journal: '',
    year: 0,
    volume: '',
    issue: '',
    pages: '',
    doi: null,
    language: '',
    publicationTypes: [],
    headings: [],
    limits: {},
    entered: null,
    changed: null,
  };
}
