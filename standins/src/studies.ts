/** How studies are told: templates from `content/studies.txt`, filled with what a topic and chance give. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Cast } from './cast.js';
import type { Chance } from './chance.js';
import { compare } from './comparison.js';
import { ContentError, type Outcome, type Topic } from './content.js';
import { capitalise, verb, words } from './english.js';
import { numbersOf, textsOf, type Numbers } from './studyNumbers.js';

/** The templates of one design. Of each list one is taken; an empty text leaves its section out. */
export interface StudyTemplate {
  /** as study designs are called, in small letters */
  design: string;
  /** what indexers call it */
  label: string;
  /** how many take part; of each group where there are two */
  size: [from: number, to: number];
  /** what groups are compared with, where it is not the comparison of the topic */
  against: string | null;
  /** whether the people of the study are the topic's informants */
  informants: boolean;
  /** tags of methods that take years */
  lasting: string[];
  /** whether it begins with what it is to live with something, rather than with what something does */
  lived: boolean;
  titles: Tagged[];
  methods: Tagged[];
  results: string[];
  conclusions: string[];
}

/** Titles and methods of one tag go together; those without go with any. */
interface Tagged {
  tag: string | null;
  text: string;
}

export function readStudies(folder: string): ReadonlyMap<string, StudyTemplate> {
  return parseStudies(readFileSync(join(folder, 'studies.txt'), 'utf8'));
}

export function parseStudies(text: string): ReadonlyMap<string, StudyTemplate> {
  const studies = new Map<string, StudyTemplate>();
  let study: StudyTemplate | null = null;
  for (const [i, raw] of text.split('\n').entries()) {
    const line = raw.trim();
    if (line === '' || line.startsWith('#')) continue;
    const [mark = '', ...rest] = line.split(' ');
    const value = rest.join(' ').trim();
    if (mark === 'study') {
      const design = value.toLowerCase();
      study = {
        design, label: value, size: [10, 100], against: null, informants: false, lasting: [], lived: false,
        titles: [], methods: [], results: [], conclusions: [],
      }; // prettier-ignore
      studies.set(design, study);
      continue;
    }
    if (study === null) throw new ContentError(`studies.txt, line ${i + 1}: no study has begun`);
    if (mark === 'label') study.label = value;
    else if (mark === 'against') study.against = value;
    else if (mark === 'informants') study.informants = true;
    else if (mark === 'lasting') study.lasting = value.split(/\s+/);
    else if (mark === 'lived') study.lived = true;
    else if (mark === 'size') {
      const [from = NaN, to = NaN] = value.split(' ').map(Number);
      study.size = [from, to];
    } else if (mark === 'T') study.titles.push(tagged(value));
    else if (mark === 'M') study.methods.push(tagged(value));
    else if (mark === 'R') study.results.push(value === '-' ? '' : value);
    else if (mark === 'C') study.conclusions.push(value === '-' ? '' : value);
    else throw new ContentError(`studies.txt, line ${i + 1}: “${mark}” is no mark`);
  }
  return studies;
}

function tagged(value: string): Tagged {
  const [, tag = null, text = value] = /^@(\S+) (.+)$/.exec(value) ?? [];
  return { tag, text };
}

const THEMES = [
  'being seen or overlooked', 'the body keeping its own time', 'owing it to colleagues', 'small tricks that help',
  'knowing whom to ask', 'the cost to those at home', 'learning it alone', 'pride in coping',
  'waiting for the next time', 'trust won slowly', 'rules that do not fit', 'saying no without guilt',
  'words that are missing', 'being asked too late', 'the silence afterwards', 'doing it for somebody else',
  'keeping up appearances', 'a plan that nobody follows', 'help that comes with strings', 'getting used to it',
  'fear of being a burden', 'humour as a shield', 'losing the thread', 'the first time',
  'what others do not see', 'counting the hours', 'bargaining with oneself', 'a place of one’s own',
  'shame and its remedies', 'advice that contradicts itself', 'letting go', 'finding a rhythm',
  'being believed', 'the weight of paper', 'choosing the lesser harm', 'returning to normal',
  'the kindness of strangers', 'always on the way', 'a second family', 'the price of being reliable',
]; // prettier-ignore

export interface ToldStudy {
  title: string;
  /** methods, results and conclusion; those that are not told are left out */
  sections: string[];
}

/** Outcomes that are over soon, so that nobody asks for them years later. */
const MOMENT =
  /\b(within|at \d|first|after|until|healing|infection|injur\w*|nausea|on duty|shift|night|day|morning|hours?|dawn|labour|birth)\b/i;

/** @param asked those of the topic's informants whom one can ask where the study is made */
export function tellStudy(
  study: StudyTemplate,
  cast: Cast,
  asked: readonly string[],
  topic: Topic,
  chance: Chance,
): ToldStudy {
  const fill = filler(study, cast, asked, topic, chance);
  const lasts = !MOMENT.test(cast.outcomes[0]?.name ?? '');
  const fitting = study.methods.filter(({ tag }) => lasts || tag === null || !study.lasting.includes(tag));
  const chosen = chance.pick(fitting);
  const method = fill(chosen.text);
  const going = study.titles.filter(({ tag }) => tag === null || tag === chosen.tag);
  const ofTag = going.filter(({ tag }) => tag !== null);
  // What has a tag is told by its titles, where there are any.
  const title = fill(chance.pick(ofTag.length > 0 ? ofTag : going).text);
  const result = fill(chance.pick(study.results));
  const conclusion = fill(chance.pick(study.conclusions));
  return { title, sections: [method, result, conclusion].filter((text) => text !== '') };
}

type Fill = (template: string) => string;

function filler(
  study: StudyTemplate,
  cast: Cast,
  askable: readonly string[],
  topic: Topic,
  chance: Chance,
): Fill {
  const numbers = numbersOf(study, chance);
  const [first, other] = cast.outcomes;
  if (first === undefined) throw new RangeError('a topic needs an outcome');
  const second = other ?? first;
  const people = cast.people;
  const asked = study.design === 'diagnostic accuracy study' ? judgedOutcome(cast) : first;
  const informants = chance.pick(askable);
  const against = study.against ?? cast.comparison;
  const compared = { people, intervention: cast.intervention, comparison: against };
  const effect = compare(first.outcome, numbers.a, numbers.b, chance);
  const themes = chance.some(THEMES, chance.int(5, 6));
  const mentioned = themes.slice(0, chance.int(3, 4));
  const values: Record<string, string> = {
    ...textsOf(numbers),
    people,
    informants,
    intervention: cast.intervention,
    detail: cast.detail,
    comparison: against,
    ...patientOf(people),
    outcome: asked.name,
    instrument: asked.outcome.instrument,
    outcome2: second.name,
    place: cast.place,
    subject: chance.pick(topic.subjects),
    theme: themes[0] ?? '',
    themes: listed(mentioned),
    themes2: listed(themes.slice(1, 3)),
    themesnumber: words(mentioned.length),
    wasoutcome: verb(asked.name, 'was', 'were'),
    bad: troubleOf(asked.outcome),
    was: verb(cast.intervention, 'was', 'were'),
    matters: verb(first.name, 'matters', 'matter'),
    oddsratio: oddsRatio(numbers),
    is: verb(cast.intervention, 'is', 'are'),
    has: verb(cast.intervention, 'has', 'have'),
    does: verb(cast.intervention, 'does', 'do'),
    women: /mother|women|girl|midwi/.test(informants) ? '' : ` (${words(numbers.women)} women)`,
    effect: effect.sentence(first.name, cast.intervention, against),
    effect2: effectOf(second, first, numbers, cast.intervention, against, chance),
    verdict: effect.conclusion(first, compared, chance),
  };
  return (template) => {
    const filled = template.replace(/\{(\w+)\}/g, (_, name: string) => {
      const value = values[name];
      if (value === undefined) throw new ContentError(`studies.txt: “${name}” is no word in braces`);
      return value;
    });
    const chosen = filled.replace(/\[([^\]]+)\]/g, (_, options: string) => {
      const option = chance.pick(options.split(';'));
      return option === '-' ? '' : option;
    });
    return sentences(chosen);
  };
}

/** What a short form can stand for: an outcome on a scale, where there is one. */
export function judgedOutcome({ outcomes }: Cast): NamedOutcome {
  const scored = outcomes.find(({ outcome }) => outcome.unit === 'points') ?? outcomes[0];
  if (scored === undefined) throw new RangeError('a topic needs an outcome');
  return scored;
}

/** Ages by what people are called, the first that fits; each with what one of them is called. */
const AGES: readonly { called: RegExp; old: string; aged: string; person: string }[] = [
  {
    called: /^(neonates|newborn|preterm babies)/i,
    old: '[three;four;five;six;seven]-week-old',
    aged: 'aged [three;four;five;six;seven] weeks',
    person: '[girl;boy]',
  },
  {
    called: /^teenagers/i,
    old: '[13;14;15;16;17]-year-old',
    aged: 'aged [13;14;15;16;17]',
    person: '[girl;boy]',
  },
  {
    called: /^(school)?children/i,
    old: '[6;7;8;9;10]-year-old',
    aged: 'aged [6;7;8;9;10]',
    person: '[girl;boy]',
  },
  {
    called: /^older|over [67]\d|with dementia|^care home residents|frailty|fallen/i,
    old: '[71;76;79;83;88]-year-old',
    aged: 'aged [73;77;80;84;89]',
    person: '[woman;man]',
  },
  {
    called: /students?\b/i,
    old: '[19;20;21;23;25]-year-old',
    aged: 'aged [19;20;22;24;26]',
    person: '[woman;man]',
  },
];
const GROWN = {
  old: '[34;41;47;52;58]-year-old',
  aged: 'aged [37;44;49;55;61]',
  person: '[woman;man]',
};
const CARERS = /mother|parent|relative|carer|health workers/i;
const WOMEN = /mother|women|girl|midwi|pregnan/i;

/** One patient among people: how old, and what to call them. */
function patientOf(people: string): Record<'yearsold' | 'aged' | 'person' | 'came' | 'she', string> {
  const { old, aged, person } =
    (CARERS.test(people) ? undefined : AGES.find(({ called }) => called.test(people))) ?? GROWN;
  const small = person === '[girl;boy]';
  const [she, her] = small ? ['girl', 'boy'] : ['woman', 'man'];
  const women = WOMEN.test(people);
  return {
    yearsold: old,
    aged,
    person: women ? `[${she};${she}]` : `[${she};${her}]`,
    came: small ? 'was brought' : 'came',
    she: women ? '[She;She]' : '[She;He]',
  };
}

function oddsRatio({ share, share2 }: Numbers): string {
  return ((share * (100 - share2)) / (share2 * (100 - share))).toFixed(1);
}

/** What makes an outcome a trouble. */
function troubleOf({ better, unit }: Outcome): string {
  if (better === 'higher') return 'poor';
  if (unit === 'points') return 'marked';
  if (unit === 'percent') return '';
  if (/^(ms|minutes|days|weeks|hours)$/.test(unit)) return 'long';
  return /^(m|mm|cm2?|mg|mmHg|mmol.*|m.s|crowns|percent points)$/.test(unit) ? 'raised' : 'frequent';
}

type NamedOutcome = { outcome: Outcome; name: string };

function effectOf(
  second: NamedOutcome,
  first: NamedOutcome,
  { a, b }: Numbers,
  intervention: string,
  against: string,
  chance: Chance,
): string {
  if (second === first) return '';
  return compare(second.outcome, a, b, chance).sentence(second.name, intervention, against);
}

/** Spaces put right, and each sentence begun with a capital. */
function sentences(text: string): string {
  const tidy = text
    .replace(/\s+/g, ' ')
    .replace(/ ([.,;:])/g, '$1')
    .trim();
  return tidy.replace(
    /(^|[.!?] )(“?\p{Ll})/gu,
    (_, before: string, letter: string) => before + capitalise(letter),
  );
}

function listed(texts: readonly string[]): string {
  const last = texts.at(-1) ?? '';
  return texts.length < 2 ? last : `${texts.slice(0, -1).join(', ')} and ${last}`;
}
