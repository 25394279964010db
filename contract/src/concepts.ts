/** Concepts that a text was taken apart into, and the shelf, where headings and words are kept for later. */
import Joi from 'joi';
import { TERM_ORIGINS, type TermContent, type TermOrigin } from '@even-lantern/core';
import { laneName, MOST_TERMS, shelfDocument, type ReviewTerm, type ShelfItem } from './reviews.js';
import { termContent } from './termContents.js';

export type NewShelfItem = Omit<ShelfItem, 'id' | 'version'>;

/** A lane that the terms of an item go to. */
export interface ShelfMove {
  laneId: string;
}

/** What came of it. */
export interface ShelfMoved {
  terms: ReviewTerm[];
  /** terms that the lane held already */
  present: number;
}

/** A concept that becomes a lane with its terms. */
export interface NewConcept {
  /** null for a further concept */
  elementId: string | null;
  name: string;
  terms: { content: TermContent; origin: TermOrigin }[];
  /** whether what it finds is left out; no where it is not said */
  leftOut?: boolean;
  /** the item of the shelf that it was, which leaves the shelf */
  fromShelf?: string;
}

/** Concepts that become lanes, all or none, and what the elements say from then on. */
export interface NewConcepts {
  concepts: NewConcept[];
  /** only for elements that say nothing yet */
  texts: { elementId: string; text: string }[];
}

/** Lanes of one review; each is counted with every other. */
export const MOST_LANES = 40;

const origin = Joi.string().valid(...TERM_ORIGINS);

export const newShelfItemSchema: Joi.ObjectSchema<NewShelfItem> = shelfDocument;

export const shelfMoveSchema = Joi.object<ShelfMove>({ laneId: Joi.string().required() });

export const newConceptsSchema = Joi.object<NewConcepts>({
  concepts: Joi.array()
    .items(
      Joi.object({
        elementId: Joi.string().allow(null).required(),
        name: laneName.required(),
        terms: Joi.array()
          .items(Joi.object({ content: termContent.required(), origin: origin.required() }))
          .max(MOST_TERMS)
          .required(),
        leftOut: Joi.boolean(),
        fromShelf: Joi.string(),
      }),
    )
    .min(1)
    .max(MOST_LANES)
    .required(),
  texts: Joi.array()
    .items(Joi.object({ elementId: Joi.string().required(), text: Joi.string().min(1).max(2000).required() }))
    .max(20)
    .required(),
});
