/** The numbers of a comparison of two groups, and the sentences that agree with them. */
import type { Chance } from './chance.js';
import type { Outcome } from './content.js';
import { capitalise, percent, verb } from './english.js';

/** What the sentences need to know of a study. */
export interface Compared {
  people: string;
  intervention: string;
  comparison: string;
}

export interface Comparison {
  sentence(name: string, intervention: string, comparison: string): string;
  conclusion(first: { outcome: Outcome; name: string }, cast: Compared, chance: Chance): string;
}

/**
 * Makes the numbers of a comparison of two groups: the means (or shares) first, then the difference as it follows
 * from them as printed, and a 95% interval from the spread and the sizes. The verdict follows from the interval.
 */
export function compare(outcome: Outcome, a: number, b: number, chance: Chance): Comparison {
  const size = chance.weighted([
    [chance.real(0.28, 0.75), 55],
    [chance.real(-0.06, 0.08), 33],
    [chance.real(-0.4, -0.2), 12],
  ]);
  const towardsBetter = outcome.better === 'lower' ? -1 : 1;
  const clamped = (value: number) => Math.min(outcome.highest, Math.max(outcome.lowest, value));
  const baseline = outcome.mean + outcome.sd * chance.real(-0.35, 0.35);

  if (outcome.unit === 'percent') {
    const share = (value: number) => Math.min(0.97, Math.max(0.01, value / 100));
    const controlCount = Math.round(b * share(baseline));
    const treatedCount = Math.round(a * share(baseline + towardsBetter * size * baseline * 0.6));
    const [p, q] = [treatedCount / a, controlCount / b];
    const difference = Number(percent(treatedCount, a)) - Number(percent(controlCount, b));
    const half = 196 * Math.sqrt((p * (1 - p)) / a + (q * (1 - q)) / b);
    return comparison(
      outcome,
      difference,
      half,
      0,
      'percentage points',
      (name, intervention, control) =>
        `${capitalise(name)}: ${treatedCount} of ${a} (${percent(treatedCount, a)}%) with ${intervention} and ${controlCount} of ${b} (${percent(controlCount, b)}%) with ${control}`,
      chance,
    );
  }
  const digits = outcome.sd < 0.5 ? 2 : outcome.sd >= 30 ? 0 : 1;
  const round = (value: number) => Number(value.toFixed(digits));
  const control = round(clamped(baseline));
  const treated = round(clamped(control + towardsBetter * size * outcome.sd));
  const half = 1.96 * outcome.sd * Math.sqrt(1 / a + 1 / b);
  const show = (value: number) => value.toFixed(digits);
  return comparison(
    outcome,
    round(treated - control),
    half,
    digits,
    outcome.unit,
    (name, intervention, other) =>
      chance.pick([
        `The mean for ${name} was ${show(treated)} ${outcome.unit} with ${intervention} and ${show(control)} with ${other}`,
        `With ${intervention} the mean for ${name} was ${show(treated)} ${outcome.unit}, against ${show(control)} with ${other}`,
        `Means for ${name} were ${show(treated)} (${intervention}) and ${show(control)} ${outcome.unit} (${other})`,
      ]),
    chance,
  );
}

function comparison(
  outcome: Outcome,
  difference: number,
  half: number,
  digits: number,
  unit: string,
  lead: (name: string, intervention: string, comparison: string) => string,
  chance: Chance,
): Comparison {
  const signed = (value: number) => {
    const text = Math.abs(value).toFixed(digits);
    return value < 0 && Number(text) !== 0 ? `−${text}` : text;
  };
  const low = Number((difference - half).toFixed(digits));
  const high = Number((difference + half).toFixed(digits));
  const clear = low > 0 || high < 0;
  const better = clear && difference < 0 === (outcome.better === 'lower');
  const interval = chance.pick(['95% interval', '95% confidence interval', '95% CI']);
  return {
    sentence: (name, intervention, control) =>
      `${lead(name, intervention, control)} (difference ${signed(difference)} ${unit}, ${interval} ${signed(low)} to ${signed(high)}).`,
    conclusion: ({ name }, { intervention, people, comparison: control }, pickFrom) => {
      if (better) {
        const past = improves(name) ? 'improved' : outcome.better === 'lower' ? 'reduced' : 'increased';
        return pickFrom.pick([
          `${capitalise(intervention)} ${past} ${name} in ${people}.`,
          `For ${people}, ${intervention} did better than ${control} for ${name}.`,
          `${capitalise(intervention)} ${past} ${name}, and a place in practice seems deserved.`,
        ]);
      }
      if (clear) {
        return pickFrom.pick([
          `For ${name}, ${intervention} did worse than ${control}.`,
          `${capitalise(intervention)} cannot be recommended: the result for ${name} was worse than with ${control}.`,
        ]);
      }
      return pickFrom.pick([
        `We found no clear effect of ${intervention} on ${name}.`,
        `Whether ${intervention} ${verb(intervention, 'changes', 'change')} ${name} in ${people} remains open.`,
        `${capitalise(intervention)} and ${control} did not clearly differ in ${name}.`,
      ]);
    },
  };
}

function improves(name: string): boolean {
  return /quality|satisfaction|control|confidence|function|skill|alertness|energy|vitality|adherence|health/.test(
    name,
  );
}
