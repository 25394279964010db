/** How works that are not journal articles are told: overviews, dissertations, books, patents, records of reviews. */
import type { AbstractSection } from '@even-lantern/core';
import type { Chance } from './chance.js';
import type { Outcome, Topic } from './content.js';
import { capitalise, verb, words } from './english.js';
import type { OtherDesign } from './designs.js';
import type { Cast } from './cast.js';

/** What is told beside title and abstract. */
export interface ToldOther {
  title: string;
  abstract: AbstractSection[];
  fullText?: AbstractSection[];
  limits?: Record<string, string[]>;
}

type OtherTeller = (cast: Cast, topic: Topic, chance: Chance) => ToldOther;

export const OTHER_TELLERS: Readonly<Record<OtherDesign, OtherTeller>> = {
  overview: tellOverview,
  'care summary': tellCareSummary,
  dissertation: tellDissertation,
  book: tellBook,
  patent: tellPatent,
  'assayed review': (cast, topic, chance) => tellAssayedReview(cast, topic, chance, 'full'),
  'assayed review update': (cast, topic, chance) => tellAssayedReview(cast, topic, chance, 'update'),
  'assayed review protocol': (cast, topic, chance) => tellAssayedReview(cast, topic, chance, 'protocol'),
  'trial record': tellTrialRecord,
  'technology assessment': tellAssessment,
  'assayed economic evaluation': tellEconomics,
  'early essay': tellEarlyEssay,
};

const plain = (...texts: string[]): AbstractSection[] => texts.map((text) => ({ label: null, text }));
const labelled = (sections: Record<string, string>): AbstractSection[] =>
  Object.entries(sections).map(([label, text]) => ({ label, text }));

function firstOf(cast: Cast): { outcome: Outcome; name: string } {
  const [first] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  return first;
}

function tellOverview(cast: Cast, topic: Topic, chance: Chance): ToldOther {
  const { people, intervention } = cast;
  const { name } = firstOf(cast);
  return {
    title: chance.pick([
      `${intervention} for ${people}: what is known and what to do`,
      `Caring for ${people}: an overview of ${intervention}`,
      `An hour on ${intervention}: study unit with questions`,
    ]),
    abstract: plain(
      `This unit is for ${chance.pick(topic.informants)} and those who teach them. After reading it one can say what ${intervention} ${verb(intervention, 'is', 'are')} meant to do for ${name}, whom it suits, and what to watch for. ${capitalise(words(chance.int(5, 12)))} questions at the end test what was learned.`,
    ),
  };
}

function tellCareSummary(cast: Cast, _topic: Topic, chance: Chance): ToldOther {
  const { people, intervention, comparison } = cast;
  const { name } = firstOf(cast);
  const grade = chance.pick(['weak', 'moderate', 'mixed']);
  return {
    title: chance.pick([
      `${intervention}: care summary`,
      `${capitalise(name)} in ${people}: summary for care`,
    ]),
    abstract: labelled({
      Question: `Should ${people} be offered ${intervention} rather than ${comparison}?`,
      'Best evidence': `${capitalise(words(chance.int(1, 4)))} reviews and ${words(chance.int(2, 9))} later studies were read. The evidence for an effect on ${name} is ${grade}.`,
      Advice: `${grade === 'weak' ? 'Do not change practice on this alone' : 'It may be offered'}; tell people what is not known.`,
    }),
  };
}

function tellDissertation(cast: Cast, topic: Topic, chance: Chance): ToldOther {
  const { people, intervention, place } = cast;
  const { name, outcome } = firstOf(cast);
  const subject = chance.pick(topic.subjects);
  const n = chance.int(24, 240);
  return {
    title: chance.pick([
      `${intervention}, ${name} and ${people}`,
      `${subject}: ${people} between duty and rest`,
      `On ${intervention}: ${words(chance.int(3, 5))} studies of ${people}`,
    ]),
    abstract: plain(
      `This dissertation asks how ${intervention} ${verb(intervention, 'bears', 'bear')} on ${name} in ${people}. The first part reviews earlier work. The second reports a study of ${n} ${people} ${place}, in which ${name} ${verb(name, 'was', 'were')} measured with ${outcome.instrument}. The third draws on conversations about ${subject}. The parts do not always agree, and the last chapter says why.`,
    ),
  };
}

function tellBook(cast: Cast, topic: Topic, chance: Chance): ToldOther {
  const { people, intervention } = cast;
  const { name } = firstOf(cast);
  const subject = chance.pick(topic.subjects);
  return {
    title: chance.pick([
      `${subject}: a book for ${chance.pick(topic.informants)}`,
      `A handbook of ${intervention}`,
      `${capitalise(name)}: causes, care and company`,
    ]),
    abstract: plain(
      `${capitalise(words(chance.int(7, 19)))} chapters on ${people}, among them ${name}, ${intervention} and ${subject}. Written for practice, with cases and a list of sources.`,
    ),
  };
}

function tellPatent(cast: Cast, _topic: Topic, chance: Chance): ToldOther {
  const { people, intervention, detail } = cast;
  const { name } = firstOf(cast);
  return {
    title: chance.pick([
      `Apparatus for ${intervention}`,
      `Method and device relating to ${intervention}`,
      `Arrangement for ${name} by means of ${intervention}`,
    ]),
    abstract: plain(
      `Claimed is an arrangement for ${intervention}${detail}, intended for ${people}, in which a control unit records ${name} and adjusts what is given. ${capitalise(words(chance.int(6, 24)))} claims, ${words(chance.int(2, 9))} drawings.`,
    ),
  };
}

type ReviewStage = 'protocol' | 'full' | 'update';

function tellAssayedReview(cast: Cast, topic: Topic, chance: Chance, stage: ReviewStage): ToldOther {
  const { people, intervention, comparison } = cast;
  const { name, outcome } = firstOf(cast);
  const trials = chance.int(3, 28);
  const participants = trials * chance.int(40, 150);
  const certainty = chance.pick(['low', 'moderate', 'very low', 'high']);
  const helps = chance.pick(['may make little difference to', 'probably improves', 'may improve']);
  const plan = {
    Background: `${capitalise(intervention)} ${verb(intervention, 'is', 'are')} offered to ${people} to change ${name}. How well this works is uncertain.`,
    Objectives: `To assess ${intervention} against ${comparison} in ${people}.`,
    'Selection criteria': `Randomised trials with ${people} that report ${name}, measured with ${outcome.instrument} or in like manner.`,
  };
  const findings = {
    'Main results': `We included ${trials} trials with ${participants} participants. ${capitalise(intervention)} ${helps} ${name}; the certainty of this is ${certainty}.`,
    'Plain-language summary': `Does ${intervention} help ${people}? We looked at ${trials} trials. They suggest that it ${helps.replace('probably improves', 'probably helps with').replace('may improve', 'may help with')} ${name}. ${certainty === 'high' ? 'We are sure of this.' : 'More trials could change what we say.'}`,
  };
  const suffix = { protocol: ' (protocol)', full: '', update: ' (update)' }[stage];
  const limits = stage === 'protocol' ? plan : { ...plan, ...findings };
  return {
    title: `${chance.pick([`${intervention} for ${people}`, `${intervention} versus ${comparison} for ${name} in ${people}`])}${suffix}`,
    abstract: labelled(limits),
    fullText: labelled({ 'Search strategy': reportedStrategy(cast, topic, chance) }),
  };
}

/** The strategy that a review printed, in words of its own. */
function reportedStrategy({ outcomes }: Cast, topic: Topic, chance: Chance): string {
  const any = (names: readonly string[]) =>
    names.map((name) => (name.includes(' ') ? `"${name}"` : name)).join(' or ');
  const lines = [
    any(chance.some(topic.people, 3)),
    any(chance.some(topic.interventions, 3)),
    'line 1 and line 2',
    ...(chance.happens(0.4) ? [any(outcomes.map(({ name }) => name)), 'line 3 and line 4'] : []),
    'random or randomised or placebo or trial',
  ];
  return lines.map((line, i) => `Line ${i + 1}: ${line}.`).join(' ');
}

function tellTrialRecord(cast: Cast, _topic: Topic, chance: Chance): ToldOther {
  const { people, intervention, detail, comparison, place } = cast;
  const { name, outcome } = firstOf(cast);
  const state = chance.pick([
    'recruiting',
    'finished, no results given',
    'stopped early',
    'results published',
  ]);
  return {
    title: `${intervention} in ${people}`,
    abstract: labelled({
      Purpose: `To find out whether ${intervention} ${verb(intervention, 'changes', 'change')} ${name}.`,
      Groups: `${capitalise(intervention)}${detail}; ${comparison}. Assigned at random, ${chance.int(20, 240) * 2} people in all, ${place}.`,
      'Main outcome': `${capitalise(name)}, by ${outcome.instrument}.`,
      State: `${capitalise(state)}.`,
    }),
  };
}

function tellAssessment(cast: Cast, _topic: Topic, chance: Chance): ToldOther {
  const { people, intervention, comparison } = cast;
  const { name } = firstOf(cast);
  return {
    title: chance.pick([
      `${intervention}: technology assessment`,
      `Assessment of ${intervention} for ${people}`,
    ]),
    abstract: labelled({
      Question: `Should ${intervention} be paid for in ${people}, in place of ${comparison}?`,
      Evidence: `${capitalise(words(chance.int(2, 12)))} trials on ${name}; ${words(chance.int(1, 6))} studies of use; a survey of ${words(chance.int(3, 12))} services.`,
      Advice: chance.pick([
        'To be paid for, with a register of those who have it.',
        'Not to be paid for outside studies.',
        'To be paid for where staff have been trained.',
      ]),
    }),
  };
}

/** Made-up countries. */
const COUNTRIES = ['Arvenmark', 'Tarnland', 'Sundal Isles', 'Vellmoor Union', 'Northreach'];

function tellEconomics(cast: Cast, _topic: Topic, chance: Chance): ToldOther {
  const { people, intervention, comparison } = cast;
  const { name } = firstOf(cast);
  const country = chance.pick(COUNTRIES);
  const cost = chance.int(40, 2400);
  return {
    title: chance.pick([
      `Costs and effects of ${intervention} for ${people} in ${country}`,
      `Is ${intervention} worth its price for ${people}? An economic evaluation for ${country}`,
    ]),
    abstract: labelled({
      Methods: `A model compared ${intervention} with ${comparison} over ${words(chance.int(1, 10))} years, as those who pay for care in ${country} would see it. The effect was ${name}.`,
      Results: `${capitalise(intervention)} cost ${cost} crowns more for each person. ${chance.pick(['It is likely to be worth its price.', 'It is unlikely to be worth its price.', 'What is not known about its effect decides.'])}`,
      'Holds for': country,
    }),
    limits: { country: [country] },
  };
}

function tellEarlyEssay(_cast: Cast, _topic: Topic, chance: Chance): ToldOther {
  const subject = chance.pick([
    'fatigue', 'attention at night', 'the depth of sleep', 'want of sleep', 'monotony', 'the working memory of adults',
    'habit', 'low spirits in winter', 'the pulse during mental work', 'rest pauses', 'reaction time', 'drowsiness',
    'dreams', 'the effect of lamps upon mood', 'vigilance', 'nervous exhaustion',
  ]); // prettier-ignore
  const people = chance.pick([
    'telephone operators', 'night watchmen', 'school children', 'railway signalmen', 'ward sisters', 'students',
    'mill hands', 'soldiers on guard', 'lighthouse keepers', 'nurses',
  ]); // prettier-ignore
  const title = chance.pick([
    `On ${subject} in ${people}`,
    `Some observations upon ${subject}`,
    `${subject} and ${people}: an inquiry`,
    `A contribution to the study of ${subject}`,
  ]);
  const n = chance.int(3, 60);
  return {
    title,
    abstract: chance.happens(0.45)
      ? plain(
          `Observations of ${words(n)} ${people} by day and by night. ${capitalise(subject)} was found to vary with the hour.`,
        )
      : [],
  };
}
