/** Design filters that people write and save, and how filters do on records whose designs are known. */
import { LONGEST_FILTER_NAME, type FilterCounts, type OwnWords, type Strength } from '@even-lantern/core';
import Joi from 'joi';
import { ownWordsSchema } from './limits.js';

/** A filter that somebody saved, for all reviews. Limits that took it keep its words as they were. */
export interface SavedFilter {
  id: string;
  name: string;
  /** the designs that it finds */
  designs: string[];
  words: Pick<OwnWords, 'any' | 'without'>;
  /** when it was last changed, and by whom */
  changedAt: string;
  changedBy: string;
  /** raised by every change; sent back as If-Match */
  version: number;
}

export type NewSavedFilter = Pick<SavedFilter, 'name' | 'designs' | 'words'>;

export interface SavedFilterChange extends Partial<NewSavedFilter> {
  /** true takes it away, false brings it back */
  removed?: boolean;
}

const content = {
  name: Joi.string()
    .trim()
    .min(1)
    .max(LONGEST_FILTER_NAME)
    .messages({
      'string.empty': 'Give the filter a name.',
      'string.max': `A name has at most ${LONGEST_FILTER_NAME} characters.`,
    }),
  designs: Joi.array().items(Joi.string().max(200)).min(1).max(40).unique(),
  words: ownWordsSchema,
};

export const newSavedFilterSchema = Joi.object<NewSavedFilter>({
  name: content.name.required(),
  designs: content.designs.required(),
  words: content.words.required(),
});

export const savedFilterChangeSchema = Joi.object<SavedFilterChange>({
  ...content,
  removed: Joi.boolean(),
}).min(1);

export interface FilterFiguresRequest {
  database: string;
  /** any of which is wanted */
  designs: string[];
  /** measured beside the filter of the program */
  words?: OwnWords;
}

/** What filters find of records whose designs are known. */
export interface MeasuredOnKnown {
  /** on what, in words */
  measuredOn: string;
  figures: { how: Strength | 'own words'; counts: FilterCounts }[];
}

export interface FilterFiguresAnswer {
  /** on records of the database whose designs are known; null where there are none, or no words came */
  known: MeasuredOnKnown | null;
  /** why those could not be asked for; null where nothing went wrong */
  trouble: string | null;
  /** on what was judged in the review; null while too few are */
  judged: MeasuredOnKnown | null;
  /** how many records of the database were judged in the review */
  judgedRecords: { ofDesign: number; others: number };
}

export const filterFiguresSchema = Joi.object<FilterFiguresRequest>({
  database: Joi.string().required(),
  designs: content.designs.required(),
  words: ownWordsSchema,
});
