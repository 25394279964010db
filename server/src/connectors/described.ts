/** What people say of the databases that they add. */
import type { NewDatabase } from '@even-lantern/contract';
import type { DatabaseDescription } from './databaseConnector.js';

/** As it is kept: with the name of its vocabulary, so that it can be told before anything else answers. */
export type Described<Database extends NewDatabase> = Omit<Database, 'vocabulary'> & {
  vocabulary: { id: string; name: string } | null;
};

/** A vocabulary that a person named. The database does not serve it, so it has no address of its own. */
export function describedVocabulary(
  vocabulary: { id: string; name: string } | null,
): DatabaseDescription['vocabulary'] {
  return vocabulary && { ...vocabulary, address: describedAddress(vocabulary.id) };
}

/** What such a vocabulary is remembered by. It tells no release, so it has to be forgotten when there is a newer one. */
export function describedAddress(id: string): string {
  return `described:${id}`;
}
