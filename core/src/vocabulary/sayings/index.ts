/**
 * What people say for what headings name: plain words, paraphrases, instances. Knowledge of the language, not of a
 * vocabulary: any heading that has one of these names, as its label or an entry term, is found by them too.
 */
import { BODY } from './body.js';
import { BODY_FURTHER } from './bodyFurther.js';
import { CARE_AND_RESEARCH } from './careAndResearch.js';
import { CLINICAL_NAMES } from './clinicalNames.js';
import { CLINICAL_NAMES_FURTHER } from './clinicalNamesFurther.js';
import { CLINICAL_NAMES_OF_CARE } from './clinicalNamesOfCare.js';
import { MIND } from './mind.js';
import { PEOPLE } from './people.js';
import { SLEEP_AND_SURROUNDINGS } from './sleepAndSurroundings.js';
import { TREATMENTS } from './treatments.js';
import { WORK } from './work.js';

/** A name, and what people say for it. */
export interface Sayings {
  name: string;
  sayings: readonly string[];
}

/** Each line is a name, a colon, and what people say for it, between semicolons. */
function read(text: string): Sayings[] {
  return text
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => {
      const at = line.indexOf(':');
      const sayings = line.slice(at + 1).split(';');
      return { name: line.slice(0, at), sayings: sayings.map((each) => each.trim()) };
    });
}

/** For each name in turn; a name may come more than once. */
export const SAYINGS: readonly Sayings[] = [
  PEOPLE,
  WORK,
  SLEEP_AND_SURROUNDINGS,
  MIND,
  BODY,
  BODY_FURTHER,
  TREATMENTS,
  CARE_AND_RESEARCH,
  CLINICAL_NAMES,
  CLINICAL_NAMES_FURTHER,
  CLINICAL_NAMES_OF_CARE,
].flatMap(read);
