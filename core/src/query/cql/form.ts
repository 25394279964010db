/** How CQL is written, with the index names of whoever reads it. */
import { SEARCH_FIELDS } from '../model.js';
import { fourDigits, type Form } from '../form.js';
import type { Abilities } from '../abilities.js';
import { printPhrase } from '../phrase.js';

/** CQL can say every query; with our context set it says it all. */
export const CQL_ABILITIES: Abilities = {
  fields: SEARCH_FIELDS,
  years: true,
  anyEnding: true,
  oneLetter: true,
  inPhrase: { anyEnding: true, oneLetter: true },
  near: { ordered: true, acrossFields: true, phrases: true },
  headings: { narrower: true, central: true, subheadings: true, anyVocabulary: true },
  lines: true,
};

export interface CqlNames {
  /** the name of one of our indexes, such as `words`, `heading`, `year` or a limit's field */
  indexOf(name: string): string;
  /** before the names of modifiers, with its dot; or nothing */
  modifierSet: string;
  /** the vocabulary that headings need not name */
  vocabulary: string;
}

export function cqlForm({ indexOf, modifierSet, vocabulary }: CqlNames): Form {
  const words: Form['words'] = ({ field, phrase }) => `${indexOf(field)} = ${quote(printPhrase(phrase))}`;
  return {
    words,
    near({ parts, distance, ordered }) {
      const order = ordered ? '/ordered' : '';
      return `(${parts.map(words).join(` prox/unit=word/distance<=${distance}${order} `)})`;
    },
    heading(query) {
      const modifiers = [
        ...(query.vocabulary === vocabulary ? [] : [`vocabulary=${quote(query.vocabulary)}`]),
        ...(query.narrower ? ['narrower'] : []),
        ...(query.central ? ['central'] : []),
        ...query.subheadings.map((subheading) => `subheading=${quote(subheading)}`),
      ].map((modifier) => `/${modifierSet}${modifier}`);
      return `${indexOf('heading')} ==${modifiers.join('')} ${quote(query.label)}`;
    },
    years(from, to) {
      const year = indexOf('year');
      if (from === null) return `${year} <= ${fourDigits(to ?? 0)}`;
      return to === null
        ? `${year} >= ${fourDigits(from)}`
        : `${year} within "${fourDigits(from)} ${fourDigits(to)}"`;
    },
    limit(field, values) {
      const each = values.map((value) => `${indexOf(field)} == ${quote(value)}`);
      return each.length === 1 ? each.join('') : `(${each.join(' or ')})`;
    },
    line: (line) => `cql.resultSetId = "L${line}"`,
    everything: 'cql.allRecords = 1',
    operators: { and: ' and ', or: ' or ', not: ' not ' },
  };
}

function quote(text: string): string {
  return `"${text.replaceAll('\\', '\\\\').replaceAll('"', '\\"')}"`;
}
