/** What is wrong with limits as they are set, whatever they find. */
import { phraseProblem } from '../designs/index.js';
import { reversedYears } from '../query/index.js';
import { limitText } from './apply.js';
import { limitKind } from './kinds/index.js';
import type { Limit, LimitValues, OwnWords } from './model.js';

/** The most values of one limit. */
export const MOST_VALUES = 100;
/** The longest value, in characters. */
export const LONGEST_VALUE = 200;

/**
 * Why values cannot be those of a kind; null where they can.
 * @param kindId of the limit
 */
export function valuesProblem(kindId: string, values: LimitValues): string | null {
  const kind = limitKind(kindId);
  if (values.kind === 'years') {
    if (kind.values !== 'years') return `${kind.name} takes values, not years.`;
    const { from, to } = values;
    if (from === null && to === null) return 'Give the first year, the last, or both.';
    return from !== null && to !== null && from > to ? reversedYears(from, to) : null;
  }
  if (kind.values === 'years') return `${kind.name} takes a range.`;
  if (values.values.length === 0) return 'Choose at least one value.';
  if (kind.values === 'yes' && (values.values.length > 1 || values.values[0] !== 'yes'))
    return `${kind.name} is either on or off: it takes the value yes.`;
  if (values.words === undefined) return null;
  return kind.strengths === true
    ? filterWordsProblem(values.words)
    : `${kind.name} takes no words of one’s own.`;
}

/** Why the words of a filter cannot be; null where they can. */
export function filterWordsProblem({ any, without }: OwnWords): string | null {
  if (any.length === 0) return 'Write at least one word or phrase that finds the design.';
  return [...any, ...without].map(phraseProblem).find((problem) => problem !== null) ?? null;
}

/** Something to look at in a limit, before anything is counted. */
export interface LimitFinding {
  limitId: string;
  message: string;
}

/**
 * What is odd in the limits that are on.
 * @param thisYear the present year
 */
export function limitFindings(limits: readonly Limit[], thisYear: number): LimitFinding[] {
  const on = limits.filter((limit) => limit.on);
  return on.flatMap((limit, i): LimitFinding[] => {
    const found = (message: string) => ({ limitId: limit.id, message });
    const { values } = limit;
    const findings: LimitFinding[] = [];
    if (values.kind === 'years' && values.from !== null && values.from > thisYear)
      findings.push(found(`${values.from} is still to come, so hardly anything can be found.`));
    const earlier = on.slice(0, i).find((other) => other.kind === limit.kind);
    if (earlier !== undefined) {
      const message = disjoint(earlier.values, values)
        ? `It contradicts “${limitText(earlier)}” above: no record can be within both. Change one, or put the values into one limit.`
        : `There is a limit of this kind above. Both hold, so only what is within both remains.`;
      // Records can have several values of most kinds; years and languages they have one of.
      if (disjoint(earlier.values, values) && !onlyOneValue(limit.kind))
        findings.push(
          found(
            'There is a limit of this kind above. Both hold, so only records with values of both remain.',
          ),
        );
      else findings.push(found(message));
    }
    return findings;
  });
}

function onlyOneValue(kind: string): boolean {
  return ['years', 'added', 'language', 'journal', 'firstProfession', 'length'].includes(kind);
}

function disjoint(a: LimitValues, b: LimitValues): boolean {
  if (a.kind === 'values' && b.kind === 'values') {
    const known = new Set(a.values.map((value) => value.toLowerCase()));
    return !b.values.some((value) => known.has(value.toLowerCase()));
  }
  if (a.kind === 'values' || b.kind === 'values') return false;
  const [lowest, highest] = ['', '9999-12-31~'];
  const key = (value: string | number | null, open: string) =>
    value === null ? open : typeof value === 'number' ? String(value).padStart(4, '0') : value;
  return key(a.to, highest) < key(b.from, lowest) || key(b.to, highest) < key(a.from, lowest);
}
