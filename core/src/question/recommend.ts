/** Which databases to search for a question: by what they are good for, and by what they bring that others have not. */

import { counted, formatCount } from '../text/index.js';

/** How well a database suits a type of question, as it says itself. */
export interface Suitability {
  /** 0 hardly of use, 1 of some use, 2 useful, 3 made for it */
  degree: number;
  /** why, as a sentence without its full stop */
  because: string;
}

export type Advice = 'begin' | 'add' | 'consider' | 'little use';

export interface Recommendation {
  advice: Advice;
  /** sentences without full stops, what is known before what was measured */
  reasons: string[];
}

/** What the present strategy finds in a database; null where it was not compared. */
export interface FoundWorks {
  works: number;
  /** of them, found in none of the others */
  onlyHere: number;
}

/** One work in so many found nowhere else is reason enough to add a database that is only useful. */
const ONE_IN = 10;

/**
 * Made for the question: begin there. Useful: add it where at least one in ten of the works it finds is in none of
 * the others, else consider it. Of some use or unknown: consider it where it brings anything of its own. The rule is
 * the product's own; the trade asks for several databases, each with its reason, and gives no number.
 * @param suitability null for a database that says nothing of itself
 */
export function recommend(suitability: Suitability | null, found: FoundWorks | null): Recommendation {
  const reasons = [
    ...(suitability === null || suitability.because === '' ? [] : [suitability.because]),
    ...(found === null ? [] : [measured(found)]),
  ];
  return { advice: adviceOn(suitability, found), reasons };
}

function adviceOn(suitability: Suitability | null, found: FoundWorks | null): Advice {
  const degree = suitability?.degree ?? 1;
  if (degree >= 3) return 'begin';
  const many = found !== null && found.onlyHere > 0 && found.onlyHere * ONE_IN >= found.works;
  if (degree === 2) return many ? 'add' : 'consider';
  if (degree === 1) return found?.onlyHere === 0 ? 'little use' : 'consider';
  return many ? 'consider' : 'little use';
}

function measured({ works, onlyHere }: FoundWorks): string {
  if (works === 0) return 'The strategy finds nothing there yet';
  if (onlyHere === 0)
    return works === 1
      ? 'The others have what it finds'
      : `The others have all ${formatCount(works)} works it finds`;
  return works === onlyHere
    ? `No other has what it finds: ${counted(works, 'work')}`
    : `${formatCount(onlyHere)} of ${formatCount(works)} works it finds are in none of the others`;
}
