/** CQL with other index names than ours: how it is written and read. */
import { cqlForm } from '../cql/form.js';
import { parseCql } from '../cql/interpret.js';
import type { DialectContext } from './dialect.js';
import type { Form } from '../form.js';
import { type DialectKind, type Known } from './naming.js';
import { NAMED, type Names } from './names.js';
import { precedenceCaution } from './reading.js';

/** @param limitSet before the fields of limits, with its dot */
export function namedCqlForm(limitSet: string): DialectKind['formOf'] {
  return (names: Names, { vocabulary }: DialectContext): Form =>
    cqlForm({
      indexOf: (name) => nameOf(names, name) ?? limitSet + name,
      modifierSet: '',
      vocabulary: vocabulary ?? '',
    });
}

interface NamedCql {
  limitSet: string;
  oneLetter: boolean;
  precedence: string;
}

export function readNamedCql({ limitSet, oneLetter, precedence }: NamedCql): DialectKind['read'] {
  return (text: string, { names, fields, vocabulary, limitFields }: Known) => {
    const own = [...fields, 'year' as const].flatMap((name): [string, string][] =>
      names[name] === null ? [] : [[names[name], `el.${name}`]],
    );
    const limits = limitFields.map((field): [string, string] => [limitSet + field, `el.${field}`]);
    const options = {
      vocabulary: vocabulary ?? '',
      limitFields,
      own: { indexes: new Map([...own, ...limits]), heading: names.heading, oneLetter },
    };
    const read = parseCql(text, options);
    if (!read.ok) return { ok: false, error: { message: read.error.message, at: read.error.at } };
    const cautions = read.mixed.flatMap((met) => precedenceCaution(met, precedence) ?? []);
    return { ok: true, query: read.query, cautions };
  };
}

function nameOf(names: Names, name: string): string | null {
  const named = NAMED.find((each) => each === name);
  return named === undefined ? null : names[named];
}
