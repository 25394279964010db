/** The numbers of a study, drawn by chance so that they agree with each other, and as they are printed. */
import type { Chance } from './chance.js';
import { percent, words } from './english.js';

const COUNTED = new Set([
  'randomised trial',
  'parallel-group randomised trial',
  'cross-over trial',
  'cluster-randomised trial',
]);

/** What of a study decides on its numbers. */
interface CountedStudy {
  design: string;
  /** how many take part; of each group where there are two */
  size: readonly [from: number, to: number];
  /** whether the people of the study are the topic's informants */
  informants: boolean;
}

export interface Numbers {
  a: number;
  b: number;
  small: number;
  groups: number;
  ways: number;
  women: number;
  some: number;
  lost: number;
  sites: number;
  trials: number;
  participants: number;
  screened: number;
  answered: number;
  wanted: number;
  used: number;
  n: number;
  share: number;
  share2: number;
  sensitivity: number;
  specificity: number;
  few: number;
  weeks: number;
  months: number;
  years: number;
  databases: number;
  k: number;
  few1: number;
}

const PEOPLE_IN_A_GROUP = 6;

/** Numbers that agree with each other: parts are smaller than wholes, and groups add up. */
export function numbersOf(study: CountedStudy, chance: Chance): Numbers {
  const [from, to] = study.size;
  const a = chance.int(from, to);
  // Groups that chance makes are nearly of one size.
  const b = COUNTED.has(study.design)
    ? Math.max(1, a + chance.int(-3, 3))
    : Math.max(1, Math.round(a * chance.real(0.7, 1.6)));
  const crossover = study.design === 'cross-over trial';
  const small = chance.int(Math.min(7, from), Math.min(38, Math.max(9, to)));
  const some = chance.int(2, Math.max(2, small - 2));
  const trials = chance.int(4, 31);
  const participants = trials * chance.int(38, 160);
  const review = study.design === 'systematic review' || study.design === 'meta-analysis';
  const n = crossover ? a : study.informants ? a : a + b;
  const answered = Math.round(n * chance.real(0.34, 0.83));
  const wanted = Math.round(answered * chance.real(0.25, 0.8));
  const share = chance.int(55, 94);
  return {
    a: review ? Math.round(participants / 2) : a,
    b: review ? Math.round(participants / 2) : crossover ? a : b,
    n,
    small,
    women: chance.int(Math.ceil(small / 3), Math.max(1, small - 1)),
    groups: Math.max(2, Math.round(small / PEOPLE_IN_A_GROUP)),
    ways: Math.min(some, trials - 1),
    some,
    lost: chance.int(1, Math.max(1, Math.min(12, Math.floor(n / 10)))),
    sites: chance.int(3, 20) * 2,
    trials,
    participants,
    screened: trials * chance.int(40, 190),
    answered,
    wanted,
    used: Math.round(wanted * chance.real(0.1, 0.7)),
    share,
    share2: chance.int(38, share - 5),
    sensitivity: chance.int(81, 96),
    specificity: chance.int(42, 79),
    few: chance.int(3, 6),
    weeks: chance.int(2, 12),
    months: chance.pick([6, 12, 18, 24]),
    years: chance.int(2, 9),
    databases: chance.int(3, 7),
    k: chance.int(2, 9),
    few1: chance.int(1, 9),
  };
}

/** Numbers as they are printed: small ones in words, but for what is measured. */
export function textsOf(numbers: Numbers): Record<string, string> {
  const { n, answered, wanted, used, lost, small, some } = numbers;
  const digits = Object.fromEntries(Object.entries(numbers).map(([name, value]) => [name, String(value)]));
  const spelled = (name: keyof Numbers) => [name, words(numbers[name])] as const;
  return {
    ...digits,
    ...Object.fromEntries((['few', 'weeks', 'months', 'years', 'databases'] as const).map(spelled)),
    small: words(small),
    some: words(Math.min(some, small)),
    lost: `${words(lost)} participant${lost === 1 ? '' : 's'}`,
    answeredshare: percent(answered, n),
    wantedshare: percent(wanted, answered),
    usedshare: percent(used, answered),
    most: wanted * 2 > answered ? 'Most' : 'Fewer than half',
  };
}
