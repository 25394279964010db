/**
 * Design filters that ship with the program: words that find a design, in three strengths. The wording is our own, made
 * from what authors write about their methods, and measured by `npm run bench -- filters`.
 */
import { parsePhrase, type Query } from '../query/index.js';

/** How a filter is set: to miss hardly any, to bring hardly any others, or in between. */
export const STRENGTHS = ['nearly all', 'balanced', 'nearly only'] as const;
export type Strength = (typeof STRENGTHS)[number];

/** What each strength is called for people. */
export const STRENGTH_NAMES: Readonly<Record<Strength, string>> = {
  'nearly all': 'finds nearly all',
  balanced: 'balanced',
  'nearly only': 'nearly only',
};

export interface DesignFilter {
  /** the design that it finds, with its kinds */
  design: string;
  source: string;
  /** ISO date */
  date: string;
  /** phrases, any of which will do; `title:` before one looks in titles alone */
  strengths: Readonly<Record<Strength, readonly string[]>>;
  /** phrases that speak against it, in all but the widest strength */
  without?: readonly string[];
}

const SOURCE = 'Even Lantern';
const DATE = '2026-11-27';

type Words = Pick<DesignFilter, 'without'> & { only: string[]; also: string[]; wide: string[] };

/** Each strength adds to the one that is narrower. */
const WORDS: Readonly<Record<string, Words>> = {
  'Randomised trial': {
    only: ['title:randomised', 'title:randomized', '"randomly assigned"', '"randomised controlled"', '"randomized controlled"', '"were randomised"', '"were randomized"', '"cross-over trial"', '"cluster-randomised"', '"cluster-randomized"', 'wash-out', '"drawn by lot"', '"sealed envelopes"'],
    also: ['randomis*', 'randomiz*', '"random order"', 'placebo', '"by chance"', '"at random"', '"intention to treat"', 'blinded', '"coin was tossed"', '"lots were drawn"', '"double blind"', 'crossover', '"cross-over"', '"left to chance"', '"die was thrown"'],
    wide: ['trial*', 'random*', 'allot*', 'allocat*', 'chance', 'lots', '"control group"', 'assigned', 'controls', 'blind'],
    without: ['title:protocol', 'title:editorial', '"systematic review"', '"random sample"', '"were pooled"', '"nobody was randomised"'],
  },
  'Quasi-experimental study': {
    only: ['"quasi-experimental"', '"before-and-after study"', '"controlled before-after"', '"interrupted time series"', '"segmented regression"', '"nobody was randomised"'],
    also: ['"before and after"', '"time series"', '"were not formed by chance"', '"without randomisation"', '"without randomization"', '"came into use"', '"waiting list"', '"neighbouring service"', '"difference in differences"', '"even dates"', '"like unit"'],
    wide: ['before', 'introduction', 'introduc*', 'afterwards', 'trend', '"comparison group"', 'site', 'chose'],
    without: ['title:randomised', 'title:randomized', 'title:protocol', '"systematic review"'],
  },
  'Cohort study': {
    only: ['title:cohort', '"prospective cohort"', '"were followed up"', '"we followed"', '"followed for"', '"hazard ratio"', '"lost to follow-up"', '"propensity scores"'],
    also: ['cohort*', 'longitudinal', '"follow-up"', 'registers', '"routine records"', '"at entry"', '"years ago"', 'unexposed', '"years later"'],
    wide: ['follow*', 'adjust*', 'later', 'records', 'baseline', 'exposure', 'exposed'],
    without: ['title:randomised', 'title:randomized', '"systematic review"', 'title:protocol'],
  },
  'Case-control study': {
    only: ['"case-control"', '"cases were"', '"cases and"', '"matched controls"', 'referents'],
    also: ['"odds ratio"', '"of cases"', 'controls', '"hundred cases"', '"with and without"'],
    wide: ['cases', 'matched', 'odds', 'past', 'earlier'],
    without: ['"systematic review"', 'chapters'],
  },
  'Cross-sectional study': {
    only: ['"cross-sectional"', 'title:survey', '"questionnaire study"', '"random sample"', 'title:questionnaire'],
    also: ['survey*', 'questionnaire*', '"web form"', '"fill in a form"', '"on one day"', '"people answered"', 'replied'],
    wide: ['asked', 'answered', 'form', 'prevalence', 'associat*', 'correlat*', 'views', 'sample'],
    without: ['"systematic review"', 'title:cohort', 'title:protocol'],
  },
  'Case series': {
    only: ['"case series"', '"case report"', '"consecutive patients"', '"year old woman"', '"year old man"', '"we report one"'],
    also: ['"one patient"', '"our first"', '"clinical experience"', '"a series of"', '"the patient aged"', '"no comparison group"', '"one clinic"'],
    wide: ['case', 'patient', 'charts', 'story', 'reports', 'seen'],
  },
  'Diagnostic accuracy study': {
    only: ['"diagnostic accuracy"', 'sensitivity', '"reference standard"', '"gold standard"'],
    also: ['specificity', '"area under the curve"', '"short form"', 'cut-offs', '"the reference"'],
    wide: ['accuracy', 'reference', 'cleared', 'test', 'screening', 'form', 'judged', '"set against"'],
  },
  'Qualitative study': {
    only: ['qualitative', '"focus group*"', '"in-depth interviews"', '"semi-structured interviews"', 'ethnograph*', '"grounded theory"', 'phenomenolog*', '"lived experience"', '"participant observation"', '"core category"'],
    also: ['interview*', 'themes', '"field notes"', 'fieldwork', 'hermeneutic*', '"discourse analysis"', 'diary', '"group interviews"', '"constant comparison"', '"theoretical sampling"', 'transcripts'],
    wide: ['theme*', 'told', 'talk*', 'words', 'experience*', 'accounts', 'diaries', 'notes', 'observ*', 'discussed', 'understand', 'groups'],
    without: ['title:protocol', '"systematic review"'],
  },
  'Mixed methods study': {
    only: ['"mixed methods"', '"quantitative and qualitative"'],
    also: ['"qualitative data"', '"brought together at the end"', '"findings were integrated"', '"then merged"', '"set side by side"', '"in numbers and in words"', '"followed by interviews"'],
    wide: ['merged', 'integrated', 'interview*', 'survey', 'numbers', 'concurrent'],
  },
  'Economic evaluation': {
    only: ['"economic evaluation"', '"cost-effectiveness"', '"quality-adjusted"', '"budget impact"', '"incremental cost"'],
    also: ['costs', '"cost per"', '"worth its price"', '"prices of one year"', 'price', 'economic*'],
    wide: ['cost*', 'crowns', 'prices', 'value', 'paid'],
  },
  Guideline: {
    only: ['title:guideline', '"practice guideline"', '"consensus statement"', 'title:recommendations', 'delphi'],
    also: ['guideline*', 'recommendations', '"working group"', '"the panel"', 'consensus'],
    wide: ['recommend*', 'panel', 'statements', 'committee'],
  },
  Protocol: {
    only: ['title:protocol', '"rationale and design"', '"no results are available"', '"how we will"'],
    also: ['protocol', '"will be randomly"', '"recruitment is under way"', '"has been registered"', '"results are expected"', '"will be"'],
    wide: ['will', 'planned', 'registered', 'rationale', 'design of'],
  },
  'Narrative review': {
    only: ['"narrative review"', '"where we stand"', '"from idea to practice"', '"current thinking"', '"open questions are named"'],
    also: ['"an overview"', '"selected studies"', '"looks back"', '"own reading"', '"came to be offered"'],
    wide: ['overview', 'review*', 'discuss*', 'understanding'],
    without: ['"systematic review"', '"scoping review"'],
  },
  'Scoping review': {
    only: ['"scoping review"', '"map of the literature"', '"mapping research"', '"evidence maps"', 'charted'],
    also: ['"map the field"', '"grey literature"', '"gaps are listed"', 'tabulated'],
    wide: ['map*', 'chart*', 'literature', 'gaps', 'reports'],
  },
  'Systematic review': {
    only: ['"systematic review"', '"meta-analysis"', '"systematic search"', '"were pooled"', '"searched two databases"', '"random-effects model"'],
    also: ['systematic*', 'meta-analys*', '"databases were searched"', '"risk of bias"', '"review of"', '"trials were included"', '"studies were included"', 'databases', 'pooled', '"eligible were"'],
    wide: ['review*', 'search*', 'studies', 'trials', 'evidence', 'criteria', 'screened'],
    without: ['title:protocol', '"narrative review"', '"scoping review"', '"will search"'],
  },
  Opinion: {
    only: ['title:reply', 'title:comment', '"this editorial"', '"promise and patience"', '"time to ask"', '"still matters"'],
    also: ['editorial', '"we argue"', '"in our view"', '"I ask"', '"we must"', '"it is time"', '"should we"'],
    wide: ['opinion', 'argue', 'must', 'view', 'ask', 'critics'],
  },
  'Overview for practice': {
    only: ['"care summary"', '"summary for care"', '"study unit"', '"this unit is for"', '"what is known and what to do"'],
    also: ['"an overview of"', '"after reading"', '"best evidence"', '"an hour on"'],
    wide: ['overview', 'summary', 'unit', 'learned', 'advice'],
  },
}; // prettier-ignore

export const DESIGN_FILTERS: readonly DesignFilter[] = Object.entries(WORDS).map(
  ([design, { only, also, wide, without }]) => ({
    design,
    source: SOURCE,
    date: DATE,
    strengths: {
      'nearly only': only,
      balanced: [...only, ...also],
      'nearly all': [...only, ...also, ...wide],
    },
    ...(without === undefined ? {} : { without }),
  }),
);

/** @returns the filter as a query; null where there is none for the design */
export function designFilter(
  design: string,
  strength: Strength,
  filters: readonly DesignFilter[] = DESIGN_FILTERS,
): Query | null {
  const filter = filters.find((each) => each.design.toLowerCase() === design.toLowerCase());
  if (filter === undefined) return null;
  return phrasesQuery(filterPhrases(filter, strength));
}

/** The phrases of a filter in a strength. */
export function filterPhrases(
  { strengths, without = [] }: DesignFilter,
  strength: Strength,
): { any: readonly string[]; without: readonly string[] } {
  return { any: strengths[strength], without: strength === 'nearly all' ? [] : without };
}

/**
 * Any of the phrases, without those that may not be there.
 * @throws RangeError for a phrase that cannot be read, which `phraseProblem` tells before
 */
export function phrasesQuery({
  any,
  without,
}: {
  any: readonly string[];
  without: readonly string[];
}): Query {
  const found = anyPhrase(any);
  return without.length === 0 ? found : { kind: 'not', include: found, exclude: anyPhrase(without) };
}

/** Why a phrase cannot be read; null where it can. */
export function phraseProblem(text: string): string | null {
  const read = parsePhrase(text.startsWith(TITLE) ? text.slice(TITLE.length) : text);
  return read.ok ? null : `“${text}”: ${read.error.message}`;
}

const TITLE = 'title:';

/** @throws RangeError for a phrase that cannot be read */
function anyPhrase(phrases: readonly string[]): Query {
  const operands = phrases.map((text): Query => {
    const inTitle = text.startsWith(TITLE);
    const read = parsePhrase(inTitle ? text.slice(TITLE.length) : text);
    if (!read.ok) throw new RangeError(`“${text}”: ${read.error.message}`);
    return { kind: 'words', field: inTitle ? 'title' : 'words', phrase: read.phrase };
  });
  const [only] = operands;
  return operands.length === 1 && only !== undefined ? only : { kind: 'or', operands };
}
