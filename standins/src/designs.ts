/** What works there are: designs of studies, other kinds of works, and what a work becomes elsewhere. */

/** Designs of studies, as the study designs are called (`core/content/study-designs.ttl`), in small letters. */
export const STUDY_DESIGNS = [
  'randomised trial',
  'parallel-group randomised trial',
  'cross-over trial',
  'cluster-randomised trial',
  'quasi-experimental study',
  'controlled before-after study',
  'interrupted time series',
  'cohort study',
  'case-control study',
  'cross-sectional study',
  'case series',
  'case report',
  'diagnostic accuracy study',
  'qualitative study',
  'interview study',
  'focus group study',
  'ethnography',
  'grounded theory study',
  'phenomenological study',
  'mixed methods study',
  'economic evaluation',
  'guideline',
  'protocol',
  'narrative review',
  'scoping review',
  'systematic review',
  'meta-analysis',
  'opinion',
] as const;
export type StudyDesign = (typeof STUDY_DESIGNS)[number];

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
  | 'assayed economic evaluation'
  | 'early essay';

/** What a work has become elsewhere. */
export type RetoldDesign = 'review from elsewhere' | 'preprint' | 'conference abstract' | 'erratum';

export type Design = StudyDesign | OtherDesign | RetoldDesign;
