import Joi from 'joi';
import type { Settlement } from '@even-lantern/core';

/** A vocabulary that is known here: from a database, or read from a file. */
export interface VocabularySummary {
  id: string;
  name: string;
  /** ISO date of its release, or empty where it does not say */
  release: string;
  /** null while the database that serves it does not answer */
  headings: number | null;
  /** names of the databases that are indexed with it */
  databases: string[];
  /** null for one that a database serves */
  imported: { at: string; person: string; notes: string[] } | null;
}

export const VOCABULARY_FORMATS = ['text/turtle', 'application/ld+json'] as const;
export type VocabularyFormat = (typeof VOCABULARY_FORMATS)[number];

/** What was settled about a heading and another vocabulary, by whom and when. */
export interface SettledStep extends Settlement {
  at: string;
  person: string;
}

export interface NewSettlement extends Omit<Settlement, 'verdict'> {
  /** `open` takes back what was settled */
  verdict: Settlement['verdict'] | 'open';
}

const name = Joi.string().min(1).max(500);

export const newSettlementSchema = Joi.object<NewSettlement>({
  vocabulary: name.required(),
  label: name.required(),
  target: name.required().invalid(Joi.ref('vocabulary')).messages({
    'any.invalid': 'A heading needs no counterpart in its own vocabulary.',
  }),
  targetLabel: Joi.when('verdict', {
    is: Joi.valid('confirmed', 'refused'),
    then: name.required(),
    otherwise: name.allow(null).required(),
  }),
  verdict: Joi.string().valid('confirmed', 'refused', 'words', 'open').required(),
});
