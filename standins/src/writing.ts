/**
 * How an invented study is told: its numbers first, then a title and an abstract that agree with them.
 * Every design has its own teller; all draw on the same topic.
 */
import type { AbstractSection } from '@even-lantern/core';
import { fitTogether, type Cast } from './cast.js';
import type { Chance } from './chance.js';
import type { Fit, Outcome, Topic } from './content.js';
import type { Content } from './writtenContent.js';
import { STUDY_DESIGNS, type OtherDesign, type StudyDesign } from './designs.js';
import { OTHER_TELLERS } from './otherKinds.js';
import { americanSpelling, capitalise, verb } from './english.js';
import { judgedOutcome, tellStudy } from './studies.js';

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

/** @param fits rules for which place goes with which people */
export function tell(
  design: StudyDesign | OtherDesign,
  topic: Topic,
  { studies, people: { fits } }: Pick<Content, 'studies' | 'people'>,
  chance: Chance,
): Told {
  const cast = castOf(topic, fits, chance);
  if (!isStudy(design)) {
    const report = OTHER_TELLERS[design](cast, topic, chance);
    return { ...report, title: capitalise(report.title), outcomes: topic.outcomes.slice(0, 1) };
  }
  const study = studies.get(design);
  if (study === undefined) throw new RangeError(`studies.txt does not tell “${design}”`);
  const written = tellStudy(study, cast, askedIn(topic, cast, fits), topic, chance);
  const { title } = written;
  const begins = study.informants
    ? livedBackground(cast, topic, chance)
    : background(
        cast,
        (design === 'diagnostic accuracy study' ? judgedOutcome(cast) : cast.outcomes[0])?.name ?? '',
        chance,
      );
  // What states an opinion goes straight to it, or has no abstract at all.
  const opinion = written.sections.length === 1;
  const sections = opinion ? (chance.happens(0.4) ? [] : written.sections) : [begins, ...written.sections];
  const american = chance.happens(0.35);
  const spell = (text: string) => (american ? americanSpelling(text) : text);
  const abstract = arrange(sections.map(capitalise), chance).map(({ label, text }) => ({
    label,
    text: spell(text),
  }));
  // Indexers can only index what a record tells.
  const text = [title, ...abstract.map(({ text }) => text)].join(' ').toLowerCase();
  const outcomes = cast.outcomes
    .filter(({ name, outcome }) =>
      [name, outcome.instrument].some((words) => text.includes(spell(words).toLowerCase())),
    )
    .map(({ outcome }) => outcome);
  return { title: spell(capitalise(title)), abstract, outcomes };
}

function isStudy(design: StudyDesign | OtherDesign): design is StudyDesign {
  return (STUDY_DESIGNS as readonly string[]).includes(design);
}

function livedBackground({ people, intervention }: Cast, topic: Topic, chance: Chance): string {
  const subject = chance.pick(topic.subjects);
  return chance.pick([
    `Little is known about ${subject} as ${people} live it.`,
    `We wanted to understand ${subject}.`,
    `Numbers say little about ${subject}.`,
    `${capitalise(intervention)} ${verb(intervention, 'has', 'have')} been studied in figures; what it is like for those concerned is less clear.`,
    `What ${people} themselves make of it is seldom asked.`,
    `To learn how those who know it best see ${subject}.`,
  ]);
}

/** Whom one can ask where a study is made: those of the topic's informants who are found there. */
function askedIn({ informants }: Topic, { people, place }: Cast, fits: readonly Fit[]): string[] {
  const there = informants.filter((each) => fitTogether(each, place, fits));
  return there.length > 0 ? there : [people];
}

function castOf(topic: Topic, fits: readonly Fit[], chance: Chance): Cast {
  const i = chance.int(0, topic.interventions.length - 1);
  const detail = topic.details[i];
  const people = chance.pick(topic.people);
  const places = topic.places.filter((place) => fitTogether(people, place, fits));
  return {
    people,
    intervention: topic.interventions[i] ?? '',
    detail: detail === undefined ? '' : ` (${detail})`,
    comparison: topic.comparisons[i] ?? topic.comparisons[0] ?? '',
    outcomes: topic.outcomes.map((outcome) => ({ outcome, name: chance.pick(outcome.names) })),
    place: chance.pick(places.length > 0 ? places : topic.places),
  };
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
    `${capitalise(outcome)} ${verb(outcome, 'matters', 'matter')} to ${people} and to those who care for them.`,
    `${capitalise(intervention)} ${verb(intervention, 'is', 'are')} used more and more, mostly on trust.`,
    `It is not known whether what helps others helps ${people}.`,
    `Guidelines say little about ${intervention}.`,
    `${capitalise(outcome)} ${verb(outcome, 'is', 'are')} a common concern of ${people}.`,
    `To learn what ${intervention} can do for ${people}.`,
    `Small studies have raised hopes of ${intervention}.`,
    `Costs and staff time speak against ${intervention}, and experience speaks for it.`,
    `Care of ${people} differs from place to place.`,
  ]);
}

/** Structured or not, or absent, as abstracts are. */
function arrange(sections: readonly string[], chance: Chance): AbstractSection[] {
  if (sections.length < 4) return sections.map((text) => ({ label: null, text }));
  if (chance.happens(0.04)) return [];
  if (chance.happens(0.28)) return [{ label: null, text: sections.join(' ') }];
  const labels = chance.pick(ABSTRACT_LABELS);
  return sections.map((text, i) => ({ label: labels[i] ?? null, text }));
}
