import Joi from 'joi';
import type { ReviewLimit } from './limits.js';
import type { AcceptedFinding } from './checks.js';
import type { ReviewOwnLine } from './ownLines.js';
import { termContent } from './termContents.js';
import type { Rung } from './studyDesigns.js';
import {
  EARLIER_LANES_FORM,
  ELEMENT_KEYS,
  FRAMEWORK_IDS,
  LANES_FORM,
  LINES_FOR,
  TERM_ORIGINS,
  type FrameworkId,
  type KeptLane,
  type LanesDocument,
  type LinesFor,
  type QuestionElement,
  type Term,
  type TermContent,
  type TermOrigin,
} from '@even-lantern/core';

export interface ReviewTerm extends Term {
  laneId: string;
  /** raised by every change; sent back as If-Match */
  version: number;
}

/** An element of the question. When it is searched, so are its lanes. */
export interface ReviewElement extends QuestionElement {
  id: string;
  version: number;
}

/** A lane as it is kept, whether its element is searched or not. */
export interface KeptReviewLane extends KeptLane {
  /** raised by every change of the lane itself; sent back as If-Match */
  version: number;
  terms: ReviewTerm[];
}

/** Headings and words of a review that are kept for later and belong to no lane yet. */
export interface ShelfItem {
  id: string;
  name: string;
  contents: TermContent[];
  origin: TermOrigin;
  /** where it came from, in words; may be empty */
  source: string;
  /** raised by every change; sent back as If-Match */
  version: number;
}

export interface Review {
  id: string;
  title: string;
  version: number;
  framework: FrameworkId;
  /** whether the strategy has a line for each term, or one for each lane */
  linesFor: LinesFor;
  elements: ReviewElement[];
  /** in the order of their elements and then their own; further concepts last */
  lanes: KeptReviewLane[];
  /** kept for later, the earliest first */
  shelf: ShelfItem[];
  /** in the order in which they are applied */
  limits: ReviewLimit[];
  /** lines that people wrote beside those of the lanes, in their order */
  ownLines: ReviewOwnLine[];
  /** what checks found and somebody let stand */
  accepted: AcceptedFinding[];
  /** which designs answer the question best, as the review sees it; null where it is as the program proposes */
  ladder: Rung[] | null;
}

export interface NewReview {
  title: string;
}

export interface ReviewChange {
  title?: string;
  framework?: FrameworkId;
  /** puts it away, or brings it back */
  putAway?: boolean;
  linesFor?: LinesFor;
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
  laneId: string;
  content: TermContent;
  origin: TermOrigin;
}

export interface TermChange {
  content?: TermContent;
  /** true takes the term out of its lane, false puts it back */
  removed?: boolean;
  /** why it is kept without being searched; null searches it again */
  heldBack?: string | null;
  /** the lane that it moves to */
  laneId?: string;
}

/** A lane that is begun: empty, with terms of another lane of the review, or as a copy of one. */
export interface NewLane {
  /** null for a further concept */
  elementId: string | null;
  /** empty for one that is called as its element is */
  name: string;
  /** terms that are taken from another lane */
  take?: { laneId: string; version: number; termIds: string[] };
  /** the lane whose terms it begins with as well */
  copyOf?: string;
}

export interface LaneChange {
  name?: string;
  leftOut?: boolean;
  /** moves it to another element; null makes it a further concept */
  elementId?: string | null;
  /** moves it before this lane of the same element; null moves it to the end */
  before?: string | null;
}

/** Joins a lane to another: its terms go there, and it ends. */
export interface LaneMerge {
  into: string;
}

/** What came of it, which is what its undoing needs. */
export interface MergedLane {
  /** the lane that is no more */
  laneId: string;
  into: string;
  /** terms that moved */
  moved: string[];
  /** terms that the other lane held already, so that they were taken out */
  takenOut: string[];
}

const title = Joi.string().trim().min(1).max(300).messages({ 'string.empty': 'Give the review a title.' });

export const newReviewSchema = Joi.object<NewReview>({
  title: title.required().messages({ 'any.required': 'Give the review a title.' }),
});
export const reviewChangeSchema = Joi.object<ReviewChange>({
  title,
  framework: Joi.string().valid(...FRAMEWORK_IDS),
  putAway: Joi.boolean(),
  linesFor: Joi.string().valid(...LINES_FOR),
}).min(1);

export const elementChangeSchema = Joi.object<ElementChange>({
  text: Joi.string().allow('').max(2000),
  note: Joi.string().allow('').max(10_000),
  searched: Joi.boolean(),
}).min(1);

export const newTermSchema = Joi.object<NewTerm>({
  laneId: Joi.string().required(),
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
  laneId: Joi.string(),
}).min(1);

/** As many terms as one lane may hold. */
export const MOST_TERMS = 2000;
const termIds = Joi.array().items(Joi.string()).max(MOST_TERMS).unique();
export const laneName = Joi.string().allow('').trim().max(300).messages({
  'string.max': 'A lane’s name has at most 300 characters.',
});

export const newLaneSchema = Joi.object<NewLane>({
  elementId: Joi.string().allow(null).required(),
  name: laneName.required(),
  take: Joi.object({
    laneId: Joi.string().required(),
    version: Joi.number().integer().min(1).required(),
    termIds: termIds
      .min(1)
      .required()
      .messages({ 'array.min': 'Choose the terms that go into the new lane.' }),
  }),
  copyOf: Joi.string(),
}).oxor('take', 'copyOf');

export const laneChangeSchema = Joi.object<LaneChange>({
  name: laneName,
  leftOut: Joi.boolean(),
  elementId: Joi.string().allow(null),
  before: Joi.string().allow(null),
}).min(1);

export const laneMergeSchema = Joi.object<LaneMerge>({ into: Joi.string().required() });

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
  /** the lane that they may join; null to leave out what they add */
  laneId: string | null;
  /** a term of the lane that each would replace, so that it does not count against them */
  instead: string | null;
  contents: TermContent[];
}

export const MAX_CANDIDATES = 200;

export const candidatesSchema = Joi.object<Candidates>({
  database: Joi.string().required(),
  laneId: Joi.string().allow(null).required(),
  instead: Joi.string().allow(null).required(),
  contents: Joi.array().items(termContent).max(MAX_CANDIDATES).required(),
});

export const laneDocument = Joi.object({
  name: Joi.string().allow('').max(2000).required(),
  element: Joi.string()
    .valid(...ELEMENT_KEYS)
    .allow(null)
    .required(),
  leftOut: Joi.boolean(),
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
    .max(MOST_TERMS)
    .required(),
});

/** Items on a shelf. */
export const MOST_ON_SHELF = 300;

export const shelfDocument = Joi.object({
  name: Joi.string().trim().min(1).max(300).required(),
  contents: Joi.array().items(termContent).min(1).max(50).required(),
  origin: Joi.string()
    .valid(...TERM_ORIGINS)
    .required(),
  source: Joi.string().allow('').max(500).required(),
});

/** Lanes as they are exported and read back. */
export const lanesSchema = Joi.object<LanesDocument>({
  form: Joi.string()
    .valid(LANES_FORM, EARLIER_LANES_FORM)
    .required()
    .messages({
      'any.only': `This is not a file of lanes of the form ${LANES_FORM}.`,
      'any.required': `This is not a file of lanes: “form” should be ${LANES_FORM}.`,
    }),
  title: Joi.string().allow('').max(300).required(),
  lanes: Joi.array().items(laneDocument).max(50).required(),
  shelf: Joi.array().items(shelfDocument).max(MOST_ON_SHELF),
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
