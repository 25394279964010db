/** Names of people and of bodies. */
import type { PersonName } from '../model.js';

/** Words that no person is called, in the names of bodies. */
const BODY =
  /\b(agency|association|board|bureau|cent(?:er|re)|clinic|collaboration|college|commission|committee|company|consortium|council|department|federation|foundation|group|hospital|initiative|institut\w*|laborator\w*|ministry|network|office|organi[sz]ation|panel|programme?|service|society|task ?force|team|trust|union|university|unit|of|for|and the)\b/i;

/** A family name that happens to be such a word is followed by initials. */
const WITH_INITIALS = /^[^,]+,\s*(?:\p{Lu}\p{M}*\.?[\s-]?){1,4}$/u;

/** Whether a name is that of a body rather than of a person. */
export function isBody(name: string): boolean {
  return BODY.test(name) && !WITH_INITIALS.test(name);
}

/** A name as catalogues write it: the family name, a comma, the given names; that of a body as it is. */
export function nameOf(text: string): PersonName {
  const name = text.trim();
  // A comma at the end is how some programs say that nothing is to be parted.
  if (name.endsWith(',')) return { family: name.replace(/[\s,]+$/, ''), given: '', corporate: true };
  if (isBody(name)) return { family: name, given: '', corporate: true };
  const comma = name.indexOf(',');
  if (comma < 0) return { family: name, given: '' };
  return { family: name.slice(0, comma).trim(), given: name.slice(comma + 1).trim() };
}
