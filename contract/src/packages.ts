import Joi from 'joi';

/** What this installation says otherwise than a package, and stands. */
export interface StandingHere {
  /** in a sentence */
  text: string;
  /** what the package says instead, which can be taken over; empty where nothing can */
  instead: PackagedAnswer[];
}

/** What people of another installation settled or counted by hand. */
export interface PackagedAnswer {
  kind: 'settled heading' | 'count by hand';
  id: string;
}

/** What is taken over of it. */
export interface TakingOver {
  answers: PackagedAnswer[];
}

export const takingOverSchema = Joi.object<TakingOver>({
  answers: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string().valid('settled heading', 'count by hand').required(),
        id: Joi.string().max(200).required(),
      }),
    )
    .min(1)
    .max(100_000)
    .required(),
});

/** What became of a package that was taken in. */
export interface PackageTaken {
  /** of the review */
  id: string;
  title: string;
  rows: number;
  /** how many schedules were active, and are paused here */
  paused: number;
  /** of its ledger, to be compared with one that somebody kept */
  seal: string;
  /** what is said otherwise here */
  standing: StandingHere[];
  /** what its ledger cannot vouch for, in sentences */
  unvouched: string[];
}
