/** The limits of a record, from rules about what it tells. */
import type { BibRecord } from '@even-lantern/core';
import type { Chance } from './chance.js';
import type { LimitRule } from './content.js';

/** @param wanted the names of the limits that the database has, in the order they are filled */
export function limitsFrom(
  rules: Readonly<Record<string, LimitRule>>,
  names: readonly string[],
  record: BibRecord,
  design: string,
  chance: Chance,
): Record<string, string[]> {
  const text = [record.title, ...record.abstract.map((section) => section.text)].join(' ').toLowerCase();
  const limits: Record<string, string[]> = {};
  for (const name of names) {
    const values = TOLD[name]?.(record) ?? valuesOf(name, text);
    if (values.length > 0) limits[name] = values;
  }
  return limits;

  function valuesOf(name: string, told: string): string[] {
    const rule = rules[name];
    if (rule === undefined) throw new RangeError(`there are no rules for the limit “${name}”`);
    if (rule.share !== undefined && !chance.happens(rule.share)) return [];
    const where = rule.byJournal === true ? record.journal.toLowerCase() : told;
    const own = rule.rules
      .filter(
        ({ words, designs }) => words?.some((word) => where.includes(word)) ?? designs?.includes(design),
      )
      .filter(({ share }) => share === undefined || chance.happens(share))
      .flatMap(({ values }) => values);
    const first = rule.also === undefined ? [] : (limits[rule.also] ?? []);
    const all = [...new Set([...first, ...own])];
    return all.length > 0 ? all : rule.otherwise;
  }
}

/** Limits that a record itself tells, without rules. */
const TOLD: Readonly<Record<string, (record: BibRecord) => string[]>> = {
  pages: pagesOf,
  enteredYear: ({ entered }) => (entered === null ? [] : [entered.slice(0, 4)]),
  hasAbstract: ({ abstract }) => [abstract.length > 0 ? 'yes' : 'no'],
};

function pagesOf({ pages }: BibRecord): string[] {
  const [from = NaN, to = NaN] = pages.split('-').map(Number);
  const last = to < from ? Number(String(from).slice(0, -String(to).length) + String(to)) : to;
  const count = last - from + 1;
  if (Number.isNaN(count)) return [];
  return [count <= 4 ? '1 to 4' : count <= 9 ? '5 to 9' : '10 or more'];
}
