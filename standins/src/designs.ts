/** What works there are: designs of studies, other kinds of works, and what a work becomes elsewhere. */

/** Designs of studies, as journals print them. */
export type StudyDesign =
  | 'randomised trial'
  | 'cross-over trial'
  | 'quasi-experimental study'
  | 'cohort study'
  | 'cross-sectional survey'
  | 'qualitative study'
  | 'systematic review'
  | 'study protocol'
  | 'editorial';

/** Works of other kinds. */
export type OtherDesign =
  | 'overview'
  | 'care summary'
  | 'dissertation'
  | 'book'
  | 'patent'
  | 'assayed review'
  | 'assayed review update'
  | 'assayed review protocol'
  | 'trial record'
  | 'technology assessment'
  | 'economic evaluation'
  | 'early essay';

/** What a work has become elsewhere. */
export type RetoldDesign = 'review from elsewhere' | 'preprint' | 'conference abstract' | 'erratum';

export type Design = StudyDesign | OtherDesign | RetoldDesign;
