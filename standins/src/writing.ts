/**
 * How an invented study is told: its numbers first, then a title and an abstract that agree with them.
 * Every design has its own teller; all draw on the same topic.
 */
import type { AbstractSection } from '@even-lantern/core';
import type { Cast } from './cast.js';
import type { Chance } from './chance.js';
import { compare } from './comparison.js';
import type { Outcome, Topic } from './content.js';
import type { OtherDesign, StudyDesign } from './designs.js';
import { OTHER_TELLERS } from './otherKinds.js';
import { americanSpelling, capitalise, join, percent, verb, words } from './english.js';

export interface Told {
  title: string;
  abstract: AbstractSection[];
  outcomes: Outcome[];
  fullText?: AbstractSection[];
  limits?: Record<string, string[]>;
}

const ABSTRACT_LABELS: readonly (readonly [string, string, string, string])[] = [
  ['Background', 'Methods', 'Results', 'Conclusion'],
  ['Aim', 'Design and setting', 'Findings', 'Conclusions'],
  ['Objective', 'Methods', 'Results', 'Implications for practice'],
];

export function tell(design: StudyDesign | OtherDesign, topic: Topic, chance: Chance): Told {
  const cast = castOf(topic, chance);
  if (!isStudy(design)) {
    const told = OTHER_TELLERS[design](cast, topic, chance);
    return { ...told, title: capitalise(told.title), outcomes: topic.outcomes.slice(0, 1) };
  }
  const [title, sections] = TELLERS[design](cast, topic, chance);
  const american = chance.happens(0.35);
  const spell = (text: string) => (american ? americanSpelling(text) : text);
  const abstract = arrange(sections.map(capitalise), chance).map(({ label, text }) => ({
    label,
    text: spell(text),
  }));
  // Indexers can only index what a record tells.
  const told = [title, ...abstract.map(({ text }) => text)].join(' ').toLowerCase();
  const outcomes = cast.outcomes
    .filter(({ name, outcome }) =>
      [name, outcome.instrument].some((words) => told.includes(spell(words).toLowerCase())),
    )
    .map(({ outcome }) => outcome);
  return { title: spell(capitalise(title)), abstract, outcomes };
}

function isStudy(design: StudyDesign | OtherDesign): design is StudyDesign {
  return design in TELLERS;
}

function castOf(topic: Topic, chance: Chance): Cast {
  const i = chance.int(0, topic.interventions.length - 1);
  const detail = topic.details[i];
  return {
    people: chance.pick(topic.people),
    intervention: topic.interventions[i] ?? '',
    detail: detail === undefined ? '' : ` (${detail})`,
    comparison: topic.comparisons[i] ?? topic.comparisons[0] ?? '',
    outcomes: topic.outcomes.map((outcome) => ({ outcome, name: chance.pick(outcome.names) })),
    place: chance.pick(topic.places),
  };
}

type Teller = (cast: Cast, topic: Topic, chance: Chance) => [title: string, sections: string[]];

const TELLERS: Readonly<Record<StudyDesign, Teller>> = {
  'randomised trial': tellTrial,
  'cross-over trial': tellCrossover,
  'quasi-experimental study': tellBeforeAfter,
  'cohort study': tellCohort,
  'cross-sectional survey': tellSurvey,
  'qualitative study': tellInterviews,
  'systematic review': tellReview,
  'study protocol': tellProtocol,
  editorial: tellEditorial,
};

function tellTrial(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention, detail, comparison, place } = cast;
  const [first, second] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const a = chance.int(18, 190);
  const b = a + chance.int(-3, 3);
  const lost = chance.int(0, Math.floor((a + b) / 10));
  const effect = compare(first.outcome, a, b, chance);
  const assigned = chance.pick([
    'were randomly assigned to',
    'were randomised to',
    'were allocated at random to',
    'drew sealed envelopes that assigned them to',
  ]);
  const methods =
    `${chance.pick([`In a ${chance.pick(['parallel-group trial', 'randomised controlled trial', 'trial with blinded assessors'])}, `, ''])}` +
    `${a + b} ${people} ${place} ${assigned} ${intervention}${detail} (n = ${a}) or ${comparison} (n = ${b}). ` +
    `The main outcome was ${first.name}, measured with ${first.outcome.instrument}${afterWeeks(first, chance)}.`;
  const results = [
    lost === 0 || /death/.test(first.name)
      ? `All ${a + b} participants were followed to the end.`
      : `${capitalise(words(lost))} participant${lost === 1 ? '' : 's'} left early; ${a + b - lost} were followed to the end.`,
    effect.sentence(first.name, intervention, comparison),
    ...(second === undefined
      ? []
      : [compare(second.outcome, a, b, chance).sentence(second.name, intervention, comparison)]),
    chance.pick(['', 'Unwanted effects were mild and rare.', 'No serious harm was reported.']),
  ];
  const title = chance.pick([
    `${intervention} and ${first.name} in ${people}: a randomised trial`,
    `${verb(intervention, 'Does', 'Do')} ${intervention} change ${first.name}? A randomised controlled trial with ${people}`,
    `Effect of ${intervention} on ${first.name} among ${people}`,
    `${intervention} versus ${comparison} for ${people}: randomised trial ${place}`,
    `A trial of ${intervention} to ${first.outcome.better === 'lower' ? 'reduce' : 'improve'} ${first.name} in ${people}`,
  ]);
  return [
    title,
    [background(cast, first.name, chance), methods, join(results), effect.conclusion(first, cast, chance)],
  ];
}

function tellCrossover(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention, detail, comparison, place } = cast;
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const n = chance.int(12, 64);
  const effect = compare(first.outcome, n, n, chance);
  const methods = chance.pick([
    `${n} ${people} ${place} took part in a cross-over trial. Each worked under ${intervention}${detail} and under ${comparison} in random order, with at least ${chance.int(1, 3)} weeks between.`,
    `Each of ${n} ${people} ${place} had both conditions, ${intervention}${detail} and ${comparison}, in an order drawn by lot. The wash-out lasted ${chance.int(7, 21)} days.`,
  ]);
  const measured = `${first.name} was measured with ${first.outcome.instrument}.`;
  const title = chance.pick([
    `${intervention} for ${people}: a cross-over trial`,
    `${first.name} under ${intervention} and under ${comparison}: a randomised cross-over study of ${people}`,
    `Within-person comparison of ${intervention} and ${comparison} in ${people}`,
  ]);
  const results = [
    effect.sentence(first.name, intervention, comparison),
    chance.pick(['There was no sign of carry-over.', 'The order of conditions made no difference.', '']),
  ];
  return [
    title,
    [
      background(cast, first.name, chance),
      `${methods} ${capitalise(measured)}`,
      join(results),
      effect.conclusion(first, cast, chance),
    ],
  ];
}

function tellBeforeAfter(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention, detail, comparison, place } = cast;
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const a = chance.int(40, 420);
  const b = chance.int(40, 420);
  const effect = compare(first.outcome, a, b, chance);
  const methods =
    `We measured ${first.name} with ${first.outcome.instrument} before and after ${intervention}${detail} came into use. ` +
    `Groups were not formed by chance: ${b} ${people} seen in the year before (${comparison}) were compared with ${a} seen in the year after. ` +
    `The study took place ${place}.`;
  const title = chance.pick([
    `Introducing ${intervention} ${place}: a before-and-after study`,
    `${first.name} before and after ${intervention} in ${people}`,
    `${intervention} for ${people}: a quasi-experimental evaluation`,
  ]);
  const results = [
    effect.sentence(first.name, intervention, comparison),
    chance.pick([`${capitalise(words(chance.int(62, 97)))} in a hundred of those eligible received it.`, '']),
  ];
  const caution = chance.pick(['Other changes in the same year cannot be ruled out.', '']);
  return [
    title,
    [
      background(cast, first.name, chance),
      methods,
      join(results),
      join([effect.conclusion(first, cast, chance), caution]),
    ],
  ];
}

function tellCohort(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention, comparison, place } = cast;
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const a = chance.int(80, 900);
  const b = chance.int(120, 1600);
  const effect = compare(first.outcome, a, b, chance);
  const months = chance.pick([12, 18, 24, 36, 60]);
  const methods =
    `We followed ${a + b} ${people} ${place} for ${words(months)} months. Of these, ${a} had ${intervention} and ${b} had ${comparison}, as usual practice had it. ` +
    `${capitalise(first.name)} was taken from ${first.outcome.instrument}. We adjusted for age, sex and illness at the start.`;
  const title = chance.pick([
    `${intervention} and later ${first.name}: a cohort of ${people}`,
    `${first.name} in ${people} followed for ${words(months)} months`,
    `${intervention} in everyday care and ${first.name} among ${people}: prospective cohort study`,
  ]);
  return [
    title,
    [
      background(cast, first.name, chance),
      methods,
      effect.sentence(first.name, intervention, comparison),
      `${effect.conclusion(first, cast, chance)} ${chance.pick(['A trial is needed.', 'Confounding may explain part of this.', ''])}`.trim(),
    ],
  ];
}

function tellSurvey(cast: Cast, topic: Topic, chance: Chance): [string, string[]] {
  const { intervention, place } = cast;
  const people = chance.pick(topic.informants);
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const asked = chance.int(180, 2400);
  const answered = Math.round(asked * chance.real(0.34, 0.83));
  const wanted = Math.round(answered * chance.real(0.25, 0.8));
  const used = Math.round(wanted * chance.real(0.1, 0.7));
  const barrier = chance.pick([
    'lack of time',
    'cost',
    'the habits of the unit',
    'not knowing enough',
    'too few staff',
  ]);
  const methods = chance.pick([
    `A questionnaire was sent to ${asked} ${people} ${place}. It asked about ${first.name}, about ${intervention}, and about barriers.`,
    `We asked ${asked} ${people} ${place} to fill in a form on ${intervention}, with questions on ${first.name} and on what stands in the way.`,
  ]);
  const results =
    `${answered} people answered (${percent(answered, asked)}%). Of these, ${wanted} (${percent(wanted, answered)}%) were in favour of ${intervention}, ` +
    `and ${used} (${percent(used, answered)}%) had had the opportunity. The barrier named most often was ${barrier}.`;
  const more = wanted * 2 > answered;
  const conclusion = `${more ? 'Most' : 'Fewer than half'} of the ${people} who answered were in favour of ${intervention}. ${chance.pick(['Those who did not answer may think otherwise.', 'Local barriers deserve attention first.', ''])}`;
  const title = chance.pick([
    `What ${people} think of ${intervention}: a survey`,
    `${intervention} as seen by ${people}: a cross-sectional survey`,
    `Views of ${people} on ${intervention}: questionnaire study ${place}`,
    `Barriers to ${intervention}: survey of ${people} ${place}`,
  ]);
  return [title, [background({ ...cast, people }, first.name, chance), methods, results, conclusion.trim()]];
}

const THEMES = [
  'being seen or overlooked',
  'the body keeping its own time',
  'owing it to colleagues',
  'small tricks that help',
  'knowing whom to ask',
  'the cost to those at home',
  'learning it alone',
  'pride in coping',
  'waiting for the next time',
  'trust won slowly',
  'rules that do not fit the night',
  'saying no without guilt',
];

function tellInterviews(cast: Cast, topic: Topic, chance: Chance): [string, string[]] {
  const { place } = cast;
  const people = chance.pick(topic.informants);
  const subject = chance.pick(topic.subjects);
  const n = chance.int(9, 38);
  const some = chance.int(Math.ceil(n / 3), n - 1);
  const women = /mother|women|girl/.test(people) ? '' : ` (${some} women)`;
  const themes = chance.some(THEMES, chance.int(3, 4));
  const method = chance.pick([
    `We held in-depth interviews with ${n} ${people} ${place}${women} and analysed them theme by theme.`,
    `${capitalise(words(chance.int(3, 6)))} group interviews with ${n} ${people} in all${women} were held ${place}. Two of us coded the transcripts independently.`,
    `${n} ${people}${women} were visited ${place} and talked about ordinary days. Accounts were compared until nothing new came up.`,
  ]);
  const list = `${themes.slice(0, -1).join('; ')}; and ${themes.at(-1) ?? ''}`;
  const results = `${capitalise(words(themes.length))} themes came out: ${list}. ${chance.pick(['Newcomers and old hands told it differently.', 'Few had spoken of it before.', 'What helped most was a person rather than a procedure.'])}`;
  const title = chance.pick([
    `${subject}: a qualitative study of ${people}`,
    `“${capitalise(chance.pick(themes))}”: ${people} on ${subject}`,
    `${subject}: interviews with ${people}`,
  ]);
  return [
    title,
    [
      `${chance.pick(['Little is known about', 'We wanted to understand', 'Numbers say little about'])} ${subject} as ${people} live it.`,
      method,
      results,
      `${chance.pick(['Services should ask before they plan.', 'Support that starts from these accounts may fit better.', 'Managers could begin with the small things named here.'])}`,
    ],
  ];
}

function tellReview(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention, comparison } = cast;
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const trials = chance.int(4, 31);
  const participants = trials * chance.int(38, 160);
  const effect = compare(first.outcome, Math.round(participants / 2), Math.round(participants / 2), chance);
  const screened = trials * chance.int(40, 190);
  const methods =
    `We searched ${words(chance.int(3, 7))} databases for randomised trials of ${intervention} against ${comparison} in ${people}. ` +
    `Two reviewers read ${screened} records; results were pooled with a random-effects model.`;
  const results = `${trials} trials with ${participants} participants were included. ${effect.sentence(first.name, intervention, comparison)} The certainty of the evidence was ${chance.pick(['low', 'moderate', 'very low', 'high'])}.`;
  const title = chance.pick([
    `${intervention} for ${people}: a systematic review and meta-analysis`,
    `${intervention} and ${first.name}: systematic review of ${trials} trials`,
    `${verb(intervention, 'Does', 'Do')} ${intervention} help ${people}? A systematic review`,
  ]);
  return [
    title,
    [background(cast, first.name, chance), methods, results, effect.conclusion(first, cast, chance)],
  ];
}

function tellProtocol(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention, detail, comparison, place } = cast;
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const n = chance.int(30, 260) * 2;
  const methods =
    `${n} ${people} ${place} will be randomly assigned, half to ${intervention}${detail} and half to ${comparison}. ` +
    `The main outcome is ${first.name}, measured with ${first.outcome.instrument}${afterWeeks(first, chance)}. Assessors will not know the assignment.`;
  const title = chance.pick([
    `${intervention} for ${people}: protocol of a randomised trial`,
    `Protocol for a trial of ${intervention} and ${first.name} in ${people}`,
  ]);
  return [
    title,
    [
      background(cast, first.name, chance),
      methods,
      'Recruitment is under way. No results are available yet.',
      'Findings will be reported whatever they show.',
    ],
  ];
}

function tellEditorial(cast: Cast, _topic: Topic, chance: Chance): [string, string[]] {
  const { people, intervention } = cast;
  const name = cast.outcomes[0]?.name ?? '';
  const title = chance.pick([
    `${intervention}: time to ask the ${chance.pick(['people concerned', 'right question', 'harder question'])}`,
    `Why ${name} still matters for ${people}`,
    `${intervention} and ${people}: promise and patience`,
  ]);
  if (chance.happens(0.6)) return [title, []];
  return [
    title,
    [
      `Interest in ${intervention} for ${people} has grown. This editorial asks what would count as evidence that it changes ${name}, and who should decide.`,
    ],
  ];
}

function background(cast: Cast, outcome: string, chance: Chance): string {
  const { people, intervention } = cast;
  return chance.pick([
    `Whether ${intervention} ${verb(intervention, 'changes', 'change')} ${outcome} in ${people} is uncertain.`,
    `Few studies have looked at ${intervention} for ${people}.`,
    `Interest in ${intervention} is growing, but little is known of its effect on ${outcome}.`,
    `Earlier findings on ${intervention} and ${outcome} disagree.`,
    `${capitalise(people)} are seldom studied when it comes to ${outcome}.`,
    `To find out how ${intervention} ${verb(intervention, 'bears', 'bear')} on ${outcome} in ${people}.`,
  ]);
}

/** A follow-up time, where the outcome does not say its own. */
function afterWeeks({ name, outcome }: { name: string; outcome: Outcome }, chance: Chance): string {
  const timed =
    /week|month|day|hour|year|night|evening|discharge|shift|\d/.test(name) || outcome.unit !== 'points';
  return timed || chance.happens(0.4) ? '' : ` after ${words(chance.int(2, 12))} weeks`;
}

/** Structured or not, or absent, as abstracts are. */
function arrange(sections: readonly string[], chance: Chance): AbstractSection[] {
  if (sections.length < 4) return sections.map((text) => ({ label: null, text }));
  if (chance.happens(0.04)) return [];
  if (chance.happens(0.28)) return [{ label: null, text: sections.join(' ') }];
  const labels = chance.pick(ABSTRACT_LABELS);
  return sections.map((text, i) => ({ label: labels[i] ?? null, text }));
}
