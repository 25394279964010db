/** Where reviews stand, and what goes when one is deleted. */
import Joi from 'joi';
import type { ReviewStage } from '@even-lantern/core';
import type { RunStatus } from './runs.js';

/** Where a review stands. */
export interface ReviewSummary {
  id: string;
  title: string;
  version: number;
  createdAt: string;
  /** why nothing but its title can be told; null where it can be read */
  trouble: string | null;
  sentence: string;
  stage: ReviewStage;
  /** lanes that are searched and hold a term */
  lanes: number;
  /** records on which nobody has decided */
  unread: number;
  lastRun: { at: string; databaseName: string; hits: number | null; status: RunStatus } | null;
  /** the last thing that somebody did; null where nothing was done since it began */
  lastChange: { at: string; person: string } | null;
  /** since when it has been put away; null for one that is worked on */
  putAwayAt: string | null;
}

/** What goes when a review is deleted. */
export interface ReviewHoldings {
  lanes: number;
  terms: number;
  onShelf: number;
  ledgerEntries: number;
  records: number;
  /** of the records, those that somebody decided on */
  decided: number;
}

/** Deletes a review; its title, typed, says that it is meant. */
export interface ReviewDeletion {
  title: string;
}

export const reviewDeletionSchema = Joi.object<ReviewDeletion>({
  title: Joi.string().allow('').max(300).required(),
});
