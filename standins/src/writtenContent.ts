/** What is authored and what all records are made of. */
import type { Vocabulary } from '@even-lantern/core';
import type { PeopleAndPlaces, Topic } from './content.js';
import type { StudyTemplate } from './studies.js';

export interface Content {
  /** the vocabulary that topics name their headings in */
  vocabulary: Vocabulary;
  topics: readonly Topic[];
  people: PeopleAndPlaces;
  /** how studies are told, by their design */
  studies: ReadonlyMap<string, StudyTemplate>;
}
