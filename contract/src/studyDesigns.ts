/** Study designs: what they are, which a record has in the eyes of a person, and the ladder of a review. */
import type { FilterCounts, Strength, Vocabulary } from '@even-lantern/core';
import Joi from 'joi';

/** The designs as a vocabulary, and the rules that tell them from what a record says. */
export interface StudyDesigns {
  taxonomy: Vocabulary;
  /** the text of the rules */
  rules: string;
  /** how filters and labels were measured, where they were */
  figures: MeasuredFilter[];
}

/** What a filter found of records whose design was known. */
export interface MeasuredFilter {
  database: string;
  /** on what, in words */
  measuredOn: string;
  design: string;
  /** a strength of the filter, or the database’s own limit */
  how: Strength | 'own limit';
  counts: FilterCounts;
}

/** What a person judged the design of a record to be; it goes before what rules say. */
export interface DesignJudgement {
  design: string;
  person: string;
  at: string;
}

/** A judgement; null takes back what was judged. */
export interface NewDesignJudgement {
  design: string | null;
}

export const newDesignJudgementSchema = Joi.object<NewDesignJudgement>({
  design: Joi.string().max(200).allow(null).required(),
});

/** A rung of the ladder: designs that answer equally well, as the review sees it. */
export interface Rung {
  designs: string[];
  /** whether what stands here answers the question of this review */
  answers: boolean;
  /** why it stands where it does, where that was changed */
  reason: string;
}

export interface Ladder {
  /** the best first */
  rungs: Rung[];
  /** whether it is as the program proposes it */
  proposed: boolean;
}

export interface LadderChange {
  /** null goes back to what is proposed */
  rungs: Rung[] | null;
}

/** A rung as it is sent and kept. */
export const rungDocument = Joi.object<Rung>({
  designs: Joi.array().items(Joi.string().max(200)).min(1).max(40).required(),
  answers: Joi.boolean().required(),
  reason: Joi.string().allow('').trim().max(1000).required(),
});

export const ladderChangeSchema = Joi.object<LadderChange>({
  rungs: Joi.array().items(rungDocument).min(1).max(40).allow(null).required(),
});
