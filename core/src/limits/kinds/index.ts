/** All kinds of limits, in the order in which they are offered. A further kind is a file here and a line below. */
import type { LimitKind } from '../kind.js';
import { abstract } from './abstract.js';
import { added } from './added.js';
import { ageGroup } from './ageGroup.js';
import { country } from './country.js';
import { design } from './design.js';
import { fullText } from './fullText.js';
import { humans } from './humans.js';
import { journal } from './journal.js';
import { journalGroup } from './journalGroup.js';
import { language } from './language.js';
import { length } from './length.js';
import { method } from './method.js';
import { peerReview } from './peerReview.js';
import { population } from './population.js';
import { anyProfession, firstProfession } from './professions.js';
import { publicationType } from './publicationType.js';
import { reviewKind } from './reviewKind.js';
import { setting } from './setting.js';
import { sex } from './sex.js';
import { years } from './years.js';

export const LIMIT_KINDS: readonly LimitKind[] = [
  years,
  design,
  language,
  publicationType,
  peerReview,
  ageGroup,
  sex,
  humans,
  population,
  method,
  setting,
  reviewKind,
  abstract,
  fullText,
  length,
  added,
  journal,
  journalGroup,
  country,
  firstProfession,
  anyProfession,
];

/** @throws RangeError for an id that no kind has */
export function limitKind(id: string): LimitKind {
  const kind = LIMIT_KINDS.find((each) => each.id === id);
  if (kind === undefined) throw new RangeError(`there is no kind of limit “${id}”`);
  return kind;
}
