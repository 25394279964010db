import type { Fit, Outcome } from './content.js';

/** What one study is about: one wording chosen for each part. */
export interface Cast {
  people: string;
  intervention: string;
  /** how it is given, in parentheses, or empty */
  detail: string;
  comparison: string;
  outcomes: { outcome: Outcome; name: string }[];
  place: string;
}

/** Whether people can be found in a place: every rule that knows one of them has to hold of the other. */
export function fitTogether(people: string, place: string, fits: readonly Fit[]): boolean {
  return fits.every((fit) => {
    if ('people' in fit && new RegExp(fit.people, 'i').test(people))
      return new RegExp(fit.onlyIn, 'i').test(place);
    if ('place' in fit && new RegExp(fit.place, 'i').test(place))
      return new RegExp(fit.onlyFor, 'i').test(people);
    return true;
  });
}
