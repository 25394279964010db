import Joi from 'joi';
import {
  ELEMENT_KEYS,
  FRAMEWORK_IDS,
  LANES_FORM,
  MAX_NEAR_DISTANCE,
  MAX_TERM_LENGTH,
  TERM_FIELDS,
  TERM_ORIGINS,
  type FrameworkId,
  type LanesDocument,
  type QuestionElement,
  type Term,
  type TermContent,
  type TermOrigin,
} from '@even-lantern/core';

export interface ReviewSummary {
  id: string;
  title: string;
  version: number;
  createdAt: string;
  sentence: string;
  unread: number;
}

export interface ReviewTerm extends Term {
  elementId: string;
  /** raised by every change; sent back as If-Match */
  version: number;
}

/** An element of the question. When it is searched, its terms are its lane. */
export interface ReviewElement extends QuestionElement {
  id: string;
  version: number;
  terms: ReviewTerm[];
}

export interface Review {
  id: string;
  title: string;
  version: number;
  framework: FrameworkId;
  elements: ReviewElement[];
}

export interface NewReview {
  title: string;
}

export interface ReviewChange {
  title?: string;
  framework?: FrameworkId;
}

/** An earlier wording of an element. */
export interface Wording {
  text: string;
  /** when it was last written at */
  at: string;
  person: string;
}

export interface ElementChange {
  text?: string;
  note?: string;
  searched?: boolean;
}

export interface NewTerm {
  elementId: string;
  content: TermContent;
  origin: TermOrigin;
}

export interface TermChange {
  content?: TermContent;
  /** true takes the term out of its lane, false puts it back */
  removed?: boolean;
  /** why it is kept without being searched; null searches it again */
  heldBack?: string | null;
  /** the element whose lane it moves to */
  elementId?: string;
}

const title = Joi.string().trim().min(1).max(300).messages({ 'string.empty': 'Give the review a title.' });

export const newReviewSchema = Joi.object<NewReview>({
  title: title.required().messages({ 'any.required': 'Give the review a title.' }),
});
export const reviewChangeSchema = Joi.object<ReviewChange>({
  title,
  framework: Joi.string().valid(...FRAMEWORK_IDS),
}).min(1);

export const elementChangeSchema = Joi.object<ElementChange>({
  text: Joi.string().allow('').max(2000),
  note: Joi.string().allow('').max(10_000),
  searched: Joi.boolean(),
}).min(1);

const headingContent = Joi.object({
  kind: Joi.string().valid('heading').required(),
  vocabulary: Joi.string().min(1).max(200).required(),
  label: Joi.string()
    .min(1)
    .max(500)
    .pattern(/[\p{L}\p{N}]/u)
    .required()
    .messages({ 'string.pattern.base': 'A heading has at least one letter or digit.' }),
  narrower: Joi.alternatives(
    Joi.boolean(),
    Joi.array().items(Joi.string().min(1).max(500)).max(1000).unique(),
  ).required(),
  central: Joi.boolean().required(),
  subheadings: Joi.array().items(Joi.string().min(1).max(200)).max(50).required(),
});

const EMPTY_TERM = 'This term is empty. Write a word or a phrase.';

const wordsContent = Joi.object({
  kind: Joi.string().valid('words').required(),
  text: Joi.string()
    .min(1)
    .max(MAX_TERM_LENGTH)
    .required()
    .pattern(/\S/)
    .messages({
      'string.empty': EMPTY_TERM,
      'string.pattern.base': EMPTY_TERM,
      'string.max': `A term has at most ${MAX_TERM_LENGTH} characters. Split it into several terms.`,
    }),
  field: Joi.string()
    .valid(...TERM_FIELDS)
    .required(),
  near: Joi.number().integer().min(1).max(MAX_NEAR_DISTANCE).allow(null).required(),
});

const termContent = Joi.alternatives().conditional(Joi.object({ kind: 'heading' }).unknown(), {
  then: headingContent,
  otherwise: wordsContent,
});

export const newTermSchema = Joi.object<NewTerm>({
  elementId: Joi.string().required(),
  content: termContent.required(),
  origin: Joi.string()
    .valid(...TERM_ORIGINS)
    .required(),
});

const REASON_MISSING = 'Say why the term is held back, so that it can be reported.';

export const termChangeSchema = Joi.object<TermChange>({
  content: termContent,
  removed: Joi.boolean(),
  heldBack: Joi.string().trim().min(1).max(1000).allow(null).messages({ 'string.empty': REASON_MISSING }),
  elementId: Joi.string(),
}).min(1);

/** What was done to a term of a lane. */
export const LANE_EVENTS = [
  'added',
  'changed',
  'held back',
  'searched again',
  'moved here',
  'moved away',
  'taken out',
  'put back',
] as const;

/** One step in the history of a lane, the latest last. */
export interface LaneEvent {
  at: string;
  person: string;
  termId: string;
  what: (typeof LANE_EVENTS)[number];
  /** the term after the step */
  content: TermContent;
  /** the term before it, where it changed */
  before: TermContent | null;
  /** for a term held back */
  reason: string | null;
}

/** Terms that are not in a lane yet, to be counted as if they were. */
export interface Candidates {
  database: string;
  /** the element whose lane they may join; null to leave out what they add */
  elementId: string | null;
  /** a term of the lane that each would replace, so that it does not count against them */
  instead: string | null;
  contents: TermContent[];
}

export const MAX_CANDIDATES = 200;

export const candidatesSchema = Joi.object<Candidates>({
  database: Joi.string().required(),
  elementId: Joi.string().allow(null).required(),
  instead: Joi.string().allow(null).required(),
  contents: Joi.array().items(termContent).max(MAX_CANDIDATES).required(),
});

const laneDocument = Joi.object({
  name: Joi.string().allow('').max(2000).required(),
  element: Joi.string()
    .valid(...ELEMENT_KEYS)
    .required(),
  terms: Joi.array()
    .items(
      Joi.object({
        content: termContent.required(),
        origin: Joi.string()
          .valid(...TERM_ORIGINS)
          .required(),
        heldBack: Joi.string().max(1000).allow(null).required(),
      }),
    )
    .max(2000)
    .required(),
});

/** Lanes as they are exported and read back. */
export const lanesSchema = Joi.object<LanesDocument>({
  form: Joi.string()
    .valid(LANES_FORM)
    .required()
    .messages({
      'any.only': `This is not a file of lanes of the form ${LANES_FORM}.`,
      'any.required': `This is not a file of lanes: “form” should be ${LANES_FORM}.`,
    }),
  title: Joi.string().allow('').max(300).required(),
  lanes: Joi.array().items(laneDocument).max(50).required(),
});

/** What came of reading lanes. */
export interface LanesRead {
  added: number;
  /** terms that were in their lane already */
  present: number;
}

/** A few records that a term finds, to see what kind they are. */
export interface SampleRequest {
  database: string;
  content: TermContent;
}

export const sampleSchema = Joi.object<SampleRequest>({
  database: Joi.string().required(),
  content: termContent.required(),
});
