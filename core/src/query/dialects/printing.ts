/**
 * Printing a query in a dialect: what the dialect can say is written in its form; what it cannot is said as nearly as
 * may be, and named as a loss.
 */
import {
  childrenOf,
  isYearRange,
  MIN_LETTERS_BEFORE_ANY_ENDING,
  type HeadingQuery,
  type LimitQuery,
  type LineQuery,
  type NearQuery,
  type Query,
  type SearchField,
  type WordPattern,
  type WordsQuery,
} from '../model.js';
import { normaliseQuery } from '../normalise.js';
import { parsePhrase, printPhrase } from '../phrase.js';
import type { Abilities } from '../abilities.js';
import type { DialectContext, Effect, Loss, Printed } from './dialect.js';
import type { Form } from '../form.js';
import { WORD_FIELDS } from './names.js';

/** More phrases than this are no longer a string that people read. */
const MOST_PHRASES = 60;
/** More headings than this are not named one by one; an address has bounds, too. */
const MOST_HEADINGS = 200;
/** What an unknown letter may be, where it has to be spelled out without knowing the index. */
const LETTERS = 'abcdefghijklmnopqrstuvwxyz0123456789';
const NOTHING: Query = { kind: 'not', include: { kind: 'everything' }, exclude: { kind: 'everything' } };

/** @throws RangeError for a query without operands, which has no written form */
export function printIn(form: Form, abilities: Abilities, query: Query, context: DialectContext): Printed {
  return print(normaliseQuery(query), { form, abilities, context, excluded: false });
}

/** The patterns of a query that the dialect cannot have where they stand, so that the index's words for them help. */
export function patternsToSpell(
  query: Query,
  abilities: Abilities,
): { pattern: WordPattern; field: WordsQuery['field'] }[] {
  if (query.kind === 'words') {
    return query.phrase
      .filter((pattern) => !canStand(pattern, query.phrase.length, abilities))
      .map((pattern) => ({ pattern, field: query.field }));
  }
  return childrenOf(query).flatMap((each) => patternsToSpell(each, abilities));
}

interface Printing {
  form: Form;
  abilities: Abilities;
  context: DialectContext;
  /** whether what is printed is taken away from something: what widens it then narrows the whole */
  excluded: boolean;
}

function print(query: Query, printing: Printing): Printed {
  const { form, abilities } = printing;
  switch (query.kind) {
    case 'words':
      return printWords(query, printing);
    case 'near':
      return printNear(query, printing);
    case 'heading':
      return printHeading(query, printing);
    case 'limit':
      return printLimit(query, printing);
    case 'line':
      return abilities.lines ? verbatim(form.line(query.line)) : printLineInFull(query, printing);
    case 'everything':
      return verbatim(form.everything);
    case 'and':
    case 'or':
      return joined(
        query.operands.map((each) => printOperand(each, printing)),
        form.operators[query.kind],
      );
    case 'not':
      return together(
        printOperand(query.include, printing),
        form.operators.not,
        printOperand(query.exclude, { ...printing, excluded: !printing.excluded }),
      );
  }
}

function printOperand(query: Query, printing: Printing): Printed {
  const printed = print(query, printing);
  const compound = query.kind === 'and' || query.kind === 'or' || query.kind === 'not';
  return compound ? together('(', printed, ')') : printed;
}

/** Says one query for another. What has operands stands in parentheses, since it replaces what has none. */
function instead(
  intended: Query,
  sent: Query,
  printing: Printing,
  loss: { lost: string; instead: string; effect: Effect },
): Printed {
  const printed = printOperand(normaliseQuery(sent), printing);
  const effect = printing.excluded ? turned(loss.effect) : loss.effect;
  const here: Loss = { ...loss, effect, from: 0, to: printed.text.length, intended, sent };
  return { text: printed.text, losses: [here, ...printed.losses] };
}

function turned(effect: Effect): Effect {
  return effect === 'widens' ? 'narrows' : effect === 'narrows' ? 'widens' : effect;
}

const FIELDS_OF_WORDS = 'title, abstract and keywords';

/** Where words are looked for that a database has no field for: in all fields at once, or in those that it has. */
function fieldsInstead({ fields }: Abilities): SearchField[] {
  if (fields.includes('words')) return ['words'];
  const own = WORD_FIELDS.filter((field) => fields.includes(field));
  return own.length > 0 ? own : [...fields];
}

function printWords(query: WordsQuery, printing: Printing): Printed {
  const { form, abilities, context } = printing;
  if (!abilities.fields.includes(query.field)) {
    const fields = fieldsInstead(abilities);
    const sent = anyOf(fields.map((field) => ({ ...query, field })));
    const isWord = query.field === 'words';
    return instead(query, sent, printing, {
      lost: `“${printPhrase(query.phrase)}” in ${isWord ? FIELDS_OF_WORDS : `the field ${query.field}`}`,
      instead: fields.includes('words') ? FIELDS_OF_WORDS : fields.join(' and '),
      effect: !isWord ? 'either' : fields.length === WORD_FIELDS.length - 1 ? 'same' : 'narrows',
    });
  }
  if (query.phrase.every((pattern) => canStand(pattern, query.phrase.length, abilities))) {
    return verbatim(form.words(query));
  }
  const lost = `the pattern in “${printPhrase(query.phrase)}”`;
  const spelled = spelledOut(query, abilities, context);
  if (spelled !== null) {
    return instead(query, anyOf(spelled), printing, {
      lost,
      instead: `${spelled.length === 1 ? 'the one' : `the ${spelled.length}`} that the index holds`,
      effect: 'same',
    });
  }
  const cut = cutShort(query, abilities);
  if (cut !== null) {
    return instead(query, cut, printing, { lost, instead: printPhrase(cut.phrase), effect: 'widens' });
  }
  if (!abilities.anyEnding && query.phrase.every(({ text }) => !text.includes('?'))) {
    const phrase = query.phrase.map(({ text }): WordPattern => ({ text, anyEnding: false }));
    const sent = { ...query, phrase };
    return instead(query, sent, printing, { lost, instead: printPhrase(phrase), effect: 'narrows' });
  }
  if (query.phrase.length > 1) {
    const words = query.phrase.map((pattern): Query => ({ ...query, phrase: [pattern] }));
    return instead(query, { kind: 'and', operands: words }, printing, {
      lost,
      instead: 'its words, each anywhere in the record',
      effect: 'widens',
    });
  }
  const letters = eachLetter(query);
  if (letters === null) {
    return instead(query, { kind: 'everything' }, printing, { lost, instead: 'any word', effect: 'widens' });
  }
  return instead(query, anyOf(letters), printing, {
    lost,
    instead: 'each of the letters a to z and the digits in its place',
    effect: 'narrows',
  });
}

function canStand({ text, anyEnding }: WordPattern, words: number, abilities: Abilities): boolean {
  const masked = text.includes('?');
  if (words === 1) return (!masked || abilities.oneLetter) && (!anyEnding || abilities.anyEnding);
  return (!masked || abilities.inPhrase.oneLetter) && (!anyEnding || abilities.inPhrase.anyEnding);
}

/** Every phrase of words that the index holds; null where they are not known, none, or too many. */
function spelledOut(query: WordsQuery, abilities: Abilities, context: DialectContext): WordsQuery[] | null {
  let phrases: WordPattern[][] = [[]];
  for (const pattern of query.phrase) {
    const words = canStand(pattern, query.phrase.length, abilities)
      ? [pattern]
      : context.wordsMatching?.(pattern, query.field)?.map((text) => ({ text, anyEnding: false }));
    if (words === undefined || words.length === 0 || phrases.length * words.length > MOST_PHRASES)
      return null;
    phrases = phrases.flatMap((begun) => words.map((word) => [...begun, word]));
  }
  return phrases.map((phrase) => ({ ...query, phrase }));
}

/** With each pattern that cannot stand cut before its first unknown letter; null where that leaves too little. */
function cutShort(query: WordsQuery, abilities: Abilities): WordsQuery | null {
  const words = query.phrase.length;
  const phrase = query.phrase.map((pattern): WordPattern => {
    if (canStand(pattern, words, abilities)) return pattern;
    return { text: pattern.text.replace(/\?.*/, ''), anyEnding: true };
  });
  const long = phrase.every(
    ({ text, anyEnding }) => !anyEnding || text.length >= MIN_LETTERS_BEFORE_ANY_ENDING,
  );
  return long && phrase.every((pattern) => canStand(pattern, words, abilities)) ? { ...query, phrase } : null;
}

/** The word with each letter in place of its only unknown one. */
function eachLetter(query: WordsQuery): WordsQuery[] | null {
  const [pattern] = query.phrase;
  if (pattern === undefined || pattern.text.split('?').length !== 2) return null;
  return [...LETTERS].map((letter) => ({
    ...query,
    phrase: [{ ...pattern, text: pattern.text.replace('?', letter) }],
  }));
}

function printNear(query: NearQuery, printing: Printing): Printed {
  const { form, abilities } = printing;
  const lacking = query.parts.find(({ field }) => !abilities.fields.includes(field))?.field;
  if (lacking !== undefined) {
    const fields = fieldsInstead(abilities);
    const inField = (field: SearchField): Query => ({
      ...query,
      parts: query.parts.map((part) => (part.field === lacking ? { ...part, field } : part)),
    });
    return instead(query, anyOf(fields.map(inField)), printing, {
      lost: `words near each other in ${lacking === 'words' ? FIELDS_OF_WORDS : `the field ${lacking}`}`,
      instead: fields.includes('words') ? FIELDS_OF_WORDS : fields.join(' and '),
      effect: lacking === 'words' ? 'narrows' : 'either',
    });
  }
  const { near } = abilities;
  const sameField = query.parts.every(({ field }) => field === query.parts[0]?.field);
  const words = query.parts.flatMap(({ phrase }) => phrase);
  const plain =
    words.length === query.parts.length &&
    words.every(({ text, anyEnding }) => !anyEnding && !text.includes('?'));
  const parts = query.parts.map((part) => withinNear(part, abilities));
  if (
    near === null ||
    (!near.acrossFields && !sameField) ||
    (!near.phrases && !plain) ||
    parts.includes(null)
  ) {
    return instead(query, { kind: 'and', operands: query.parts }, printing, {
      lost: `within ${query.distance} words of each other`,
      instead: 'all of them anywhere in the record',
      effect: 'widens',
    });
  }
  const sayable: NearQuery = { ...query, parts: parts.filter((part) => part !== null) };
  if (sayable.parts.some((part, i) => part !== query.parts[i])) {
    return instead(query, sayable, printing, {
      lost: `the pattern in ${query.parts.map(({ phrase }) => `“${printPhrase(phrase)}”`).join(' near ')}`,
      instead: sayable.parts.map(({ phrase }) => printPhrase(phrase)).join(' near '),
      effect: 'widens',
    });
  }
  if (query.ordered && !near.ordered) {
    return instead(query, { ...query, ordered: false }, printing, {
      lost: 'the order of words near each other',
      instead: 'any order',
      effect: 'widens',
    });
  }
  return verbatim(form.near(query));
}

/** A part as it can stand near another; null where it cannot. */
function withinNear(part: WordsQuery, abilities: Abilities): WordsQuery | null {
  if (!abilities.fields.includes(part.field)) return null;
  if (part.phrase.every((pattern) => canStand(pattern, part.phrase.length, abilities))) return part;
  return cutShort(part, abilities);
}

function printHeading(query: HeadingQuery, printing: Printing): Printed {
  const { form, abilities, context } = printing;
  const { headings } = abilities;
  if (headings === null || (query.vocabulary !== context.vocabulary && !headings.anyVocabulary)) {
    return printAsWords(query, printing);
  }
  if (query.central && !headings.central) {
    return instead(query, { ...query, central: false }, printing, {
      lost: `that “${query.label}” is central`,
      instead: 'the heading, central or not',
      effect: 'widens',
    });
  }
  if (query.subheadings.length > 0 && !headings.subheadings) {
    return instead(query, { ...query, subheadings: [] }, printing, {
      lost: `the subheading ${query.subheadings.join(' or ')}`,
      instead: 'the heading with any subheading or none',
      effect: 'widens',
    });
  }
  return query.narrower && !headings.narrower
    ? printNarrowerByName(query, printing)
    : verbatim(form.heading(query));
}

/** A heading and all below it, each by its name. */
function printNarrowerByName(query: HeadingQuery, printing: Printing): Printed {
  const alone: HeadingQuery = { ...query, narrower: false };
  const lost = `all headings below “${query.label}” at once`;
  const below = printing.context.narrowerOf?.(query) ?? null;
  if (below === null || below.length > MOST_HEADINGS) {
    return instead(query, alone, printing, {
      lost,
      instead:
        below === null ? 'the heading alone' : `the heading alone: ${below.length} are too many to name`,
      effect: 'narrows',
    });
  }
  const each = below.map((label): HeadingQuery => ({ ...alone, label }));
  return instead(query, each.length === 0 ? alone : anyOf([alone, ...each]), printing, {
    lost,
    instead:
      each.length === 0
        ? 'the heading alone: nothing lies below it'
        : `the heading and the ${each.length} below it by name`,
    effect: 'same',
  });
}

function printAsWords(query: HeadingQuery, printing: Printing): Printed {
  const names = printing.context.namesOf?.(query) ?? [query.label];
  const words = names.flatMap((name): Query[] => {
    const parsed = parsePhrase(name);
    return parsed.ok ? [{ kind: 'words', field: 'words', phrase: parsed.phrase }] : [];
  });
  const several = words.length === 1 ? 'its name' : `its ${words.length} names`;
  return instead(query, words.length === 0 ? { kind: 'everything' } : anyOf(words), printing, {
    lost: `the heading “${query.label}”${query.narrower ? ' with narrower' : ''}`,
    instead: `${several} as words in title, abstract and keywords`,
    effect: 'either',
  });
}

function printLimit(query: LimitQuery, printing: Printing): Printed {
  const { form, context } = printing;
  if (isYearRange(query)) {
    const { from, to } = query;
    if (from === null && to === null) return verbatim(form.everything);
    return printing.abilities.years
      ? verbatim(form.years(from, to))
      : withoutLimit(query, `the years ${from ?? ''} to ${to ?? ''}`, printing);
  }
  if (query.values.length === 0) throw new RangeError(`the limit on ${query.field} has no values`);
  if (context.limitFields.includes(query.field)) return verbatim(form.limit(query.field, query.values));
  return withoutLimit(query, `the limit ${query.field} ${query.values.join(' or ')}`, printing);
}

/** Where the limit is taken away from something, nothing is taken away instead: either way more is found. */
function withoutLimit(query: LimitQuery, lost: string, printing: Printing): Printed {
  return instead(query, printing.excluded ? NOTHING : { kind: 'everything' }, printing, {
    lost,
    instead: 'no limit: the database has none of that name',
    effect: printing.excluded ? 'narrows' : 'widens',
  });
}

function printLineInFull(query: LineQuery, printing: Printing): Printed {
  const whole = printing.context.lineQuery?.(query.line) ?? null;
  return instead(query, whole ?? { kind: 'everything' }, printing, {
    lost: `the reference to line ${query.line}`,
    instead: whole === null ? 'all records, since the line is not known' : 'the line written out',
    effect: whole === null ? 'either' : 'same',
  });
}

function anyOf(operands: readonly Query[]): Query {
  return { kind: 'or', operands };
}

function verbatim(text: string): Printed {
  return { text, losses: [] };
}

/** Puts texts together; the places of losses move with them. */
function together(...parts: readonly (Printed | string)[]): Printed {
  const texts: string[] = [];
  const losses: Loss[] = [];
  let length = 0;
  for (const part of parts) {
    const text = typeof part === 'string' ? part : part.text;
    if (typeof part !== 'string') {
      for (const loss of part.losses)
        losses.push({ ...loss, from: loss.from + length, to: loss.to + length });
    }
    texts.push(text);
    length += text.length;
  }
  return { text: texts.join(''), losses };
}

function joined(parts: readonly Printed[], separator: string): Printed {
  return together(...parts.flatMap((part, i) => (i === 0 ? [part] : [separator, part])));
}
