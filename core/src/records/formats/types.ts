/** What kind of thing a record is, in the words of databases, of RIS, of CSL and of MODS. */
import type { BibRecord } from '../model.js';

/** A kind of record: what publication types speak for it, and what formats call it. The first that fits is taken. */
interface RecordKind {
  spoken: RegExp;
  /** reference types of RIS */
  ris: string;
  /** item types of CSL 1.0.2 */
  csl: string;
  /** genre terms that MODS takes from MARC (`marcgt`); empty where it has none that fits */
  genre: string;
  /** how it is called where a format is read */
  name: string;
}

const KINDS: readonly RecordKind[] = [
  { spoken: /dissertation|thesis/i, ris: 'THES', csl: 'thesis', genre: 'thesis', name: 'Dissertation' },
  { spoken: /chapter/i, ris: 'CHAP', csl: 'chapter', genre: '', name: 'Book chapter' },
  { spoken: /\bbook\b/i, ris: 'BOOK', csl: 'book', genre: 'book', name: 'Book' },
  {
    spoken: /conference|meeting abstract|proceedings/i,
    ris: 'CPAPER',
    csl: 'paper-conference',
    genre: 'conference publication',
    name: 'Conference abstract',
  },
  { spoken: /patent/i, ris: 'PAT', csl: 'patent', genre: 'patent', name: 'Patent' },
  {
    spoken: /report|technology assessment/i,
    ris: 'RPRT',
    csl: 'report',
    genre: 'technical report',
    name: 'Report',
  },
  { spoken: /preprint/i, ris: 'UNPB', csl: 'article', genre: '', name: 'Preprint' },
  { spoken: /trial record|trial register/i, ris: 'DATA', csl: 'dataset', genre: '', name: 'Trial record' },
  { spoken: /web ?page|website/i, ris: 'ELEC', csl: 'webpage', genre: 'web site', name: 'Web page' },
];
const ARTICLE = { ris: 'JOUR', csl: 'article-journal', genre: 'article' };
/** Further types of RIS that stand for one of ours. */
const ALSO: Readonly<Record<string, string>> = {
  CONF: 'CPAPER', EBOOK: 'BOOK', EDBOOK: 'BOOK', ECHAP: 'CHAP', GOVDOC: 'RPRT', WEB: 'ELEC', BLOG: 'ELEC',
}; // prettier-ignore

function kindOf({ publicationTypes }: BibRecord) {
  // A case report is an article, whatever its name says.
  const types = publicationTypes.filter((type) => !/case report|journal article/i.test(type));
  return KINDS.find(({ spoken }) => types.some((type) => spoken.test(type))) ?? ARTICLE;
}

export const risTypeOf = (record: BibRecord): string => kindOf(record).ris;
export const cslTypeOf = (record: BibRecord): string => kindOf(record).csl;
export const genreOf = (record: BibRecord): string => kindOf(record).genre;
/** Whether what it appeared in is a book, and not a journal or another thing that goes on. */
export const isInBook = (record: BibRecord): boolean => kindOf(record).ris === 'CHAP';

/** The publication type that a reference type of RIS stands for; null for an article, and for what nobody knows. */
export function typeOfRis(type: string): string | null {
  const own = ALSO[type] ?? type;
  return KINDS.find(({ ris }) => ris === own)?.name ?? null;
}

/** The publication type that a genre term stands for; null for an article, and for what nobody knows. */
export function typeOfGenre(genre: string): string | null {
  return KINDS.find((kind) => kind.genre !== '' && kind.genre === genre)?.name ?? null;
}
