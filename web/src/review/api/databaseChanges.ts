/** What a new list of databases makes out of date: releases and vocabularies change while people work. */
import type { DatabaseList, DatabaseProfile, VocabularySummary } from '@even-lantern/contract';

export type OutOfDate = 'DatabaseAnswers' | 'Vocabularies';

/**
 * @param before the list as it was known; undefined where it is the first
 * @param vocabularies those that are listed; undefined where nobody has asked for them
 */
export function outOfDateBy(
  after: DatabaseList,
  before: DatabaseList | undefined,
  vocabularies: readonly VocabularySummary[] | undefined,
): OutOfDate[] {
  const known = new Set(before?.databases.map(stateOf));
  // One that goes away changes nothing of the others; what it told stays until it answers again.
  const away = new Set(before?.databases.filter(({ state }) => state === 'away').map(({ id }) => id));
  const changed =
    before !== undefined &&
    after.databases.some((each) => !known.has(stateOf(each)) || (away.has(each.id) && each.state !== 'away'));
  // A database that was late when vocabularies were listed answers now.
  const unlisted = after.databases.some(
    ({ vocabulary }) => vocabulary !== null && vocabularies?.every(({ id }) => id !== vocabulary.id) === true,
  );
  return [
    ...(changed ? ['DatabaseAnswers' as const] : []),
    ...(changed || unlisted ? ['Vocabularies' as const] : []),
  ];
}

function stateOf({ id, release, vocabulary }: DatabaseProfile): string {
  return JSON.stringify([id, release, vocabulary?.id]);
}
