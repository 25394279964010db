/**
 * The lines of a strategy that somebody pasted as a whole: from a report, a table, or the history of a database. How
 * lines are marked is learned from the text itself, and lines are referred to as they are marked.
 */
import { mapQuery, type DialectError, type DialectResult, type Query } from '../query/index.js';
import { linesIn } from '../strategy/index.js';

/** A line as it stands in the text. */
export interface PastedLine {
  /** as it is marked; where lines are not marked, its place, from 1 */
  number: number;
  /** without its mark and its count */
  text: string;
  /** how many records it found where it was run; null where the text does not say */
  hits: number | null;
  /** in which lines have their numbers; null where it cannot be read */
  query: Query | null;
  /** what is wrong, with its place in the text of the line */
  error: DialectError | null;
  /** the line that it refers to and that cannot be read, where that is all that is wrong; otherwise null */
  follows: number | null;
}

/** How the texts of lines are read and written in one language. */
export interface TextLanguage {
  read: (text: string) => DialectResult;
  /** a single word, as one would write it to be looked for */
  word: (word: string) => string;
}

type ReadLine = DialectResult & { follows?: number };

interface MarkedLine {
  number: number;
  text: string;
  hits: number | null;
}

/** A mark before a line: a number, with a sign or a letter before it or a sign behind it, or in brackets. */
const MARK = /^\s*[([]?(?<sign>[#§№]|\p{L})?\s?(?<number>\d{1,4})(?:[.):\]]\s*|\s*[|\t]\s*|\s{1,}(?=\S)|$)/u;
/** A count behind a line: in a cell of its own, after a gap, or in parentheses with what is counted. */
const COUNT =
  /(?:(?:[\t|]\s*|\s{2,})(?<cell>\d[\d.,\s\u2009\u202f]*)\s*|\s\((?<said>\d[\d.,\s\u2009\u202f]*)(?:\s*(?:records?|hits?|results?))?\))$/u;
/** So many of the lines must be marked for their marks to be believed. */
const MOSTLY = 0.6;
/** A word that no text holds, in place of a reference. */
const PLACE = 'qxlinexq';

/**
 * Reads a pasted strategy line by line.
 * @returns the lines in their order; none for an empty text
 */
export function readPastedLines(text: string, language: TextLanguage): PastedLine[] {
  const { lines, signs } = markedLines(text);
  const known: PastedLine[] = [];
  for (const line of lines) {
    const result = readLine(line, signs, language, known);
    const unreadable = result.ok ? null : (result.follows ?? null);
    known.push({
      ...line,
      query: result.ok ? result.query : null,
      error: result.ok ? null : result.error,
      follows: unreadable,
    });
  }
  return known;
}

/** The lines with their numbers, and the signs by which the text refers to lines. */
function markedLines(text: string): { lines: MarkedLine[]; signs: string[] } {
  const rows = text
    .split(/\r?\n/)
    .map((row) =>
      row
        .trim()
        .replace(/^\|\s*/, '')
        .replace(/\s*\|$/, ''),
    )
    // What parts the head of a table from its rows says nothing.
    .filter((row) => row !== '' && !/^[\s|:-]+$/.test(row));
  const marked = rows.map((row) => MARK.exec(row));
  const numbers = marked.flatMap((match) => (match?.groups?.number ? [Number(match.groups.number)] : []));
  const rising = numbers.every((number, i) => i === 0 || number > (numbers[i - 1] ?? 0));
  if (numbers.length < 2 || numbers.length < rows.length * MOSTLY || !rising) {
    return { lines: rows.map((row, i) => ({ number: i + 1, ...counted(row) })), signs: ['L', '#'] };
  }
  const lines: { number: number; rows: string[] }[] = [];
  for (const [i, row] of rows.entries()) {
    const match = marked[i];
    const number = match?.groups?.number;
    if (match != null && number !== undefined) {
      lines.push({ number: Number(number), rows: [row.slice(match[0].length)] });
    } else lines.at(-1)?.rows.push(row); // goes on; a head before the first line is no line
  }
  const signs = new Set(['#', ...marked.flatMap((match) => match?.groups?.sign?.toUpperCase() ?? [])]);
  return {
    lines: lines.map(({ number, rows: parts }) => ({ number, ...counted(parts.join(' ')) })),
    signs: [...signs],
  };
}

function counted(row: string): { text: string; hits: number | null } {
  const match = COUNT.exec(row);
  const digits = match?.groups?.cell ?? match?.groups?.said;
  if (match === null || digits === undefined) return { text: row.trim(), hits: null };
  return { text: row.slice(0, match.index).trim(), hits: Number(digits.replace(/\D/g, '')) };
}

/** References become single words of the language, and these become references in the query. */
function readLine(
  { number, text }: MarkedLine,
  signs: readonly string[],
  language: TextLanguage,
  earlier: readonly PastedLine[],
): ReadLine {
  // A database may have a way of its own to name lines.
  const asItStands = language.read(text);
  if (asItStands.ok && linesIn(asItStands.query).length > 0) return known(asItStands, number, earlier);
  const offsets: { at: number; by: number }[] = [];
  const place = (line: number) => language.word(`${PLACE}${line}`);
  const skeleton = isSkeleton(text, signs);
  const spreadOut = skeleton ? spreadRanges(text) : { text, range: null };
  if (spreadOut.range !== null) {
    const message = `Say whether lines ${spreadOut.range} are joined with AND or with OR.`;
    return { ok: false, error: { message, at: Math.max(0, text.indexOf(spreadOut.range)) } };
  }
  const pattern = referencePattern(signs, skeleton);
  const replaced = outsideQuotes(spreadOut.text, pattern, (line, at, match) => {
    // A number alone is a line where it stands for one, and there is such a line.
    if (!skeleton && /^\d/.test(match) && line >= number) return match;
    const by = place(line);
    offsets.push({ at, by: by.length - match.length });
    return by;
  });
  const read = language.read(replaced);
  if (!read.ok) {
    // The place is told in the text as it was pasted.
    const shift = offsets.reduce((sum, { at, by }) => (at + sum < read.error.at ? sum + by : sum), 0);
    return {
      ok: false,
      error: { ...read.error, at: Math.min(Math.max(0, read.error.at - shift), text.length) },
    };
  }
  const query = mapQuery(read.query, (part): Query => {
    if (part.kind !== 'words' || part.phrase.length !== 1) return part;
    const [word] = part.phrase;
    if (word === undefined || !word.text.startsWith(PLACE)) return part;
    return { kind: 'line', line: Number(word.text.slice(PLACE.length)) };
  });
  return known({ ...read, query }, number, earlier);
}

/** Lines are there before others refer to them. */
function known(
  read: Extract<DialectResult, { ok: true }>,
  number: number,
  earlier: readonly PastedLine[],
): ReadLine {
  const lineOf = (line: number) => earlier.find((each) => each.number === line);
  const missing = linesIn(read.query).find((line) => (lineOf(line)?.query ?? null) === null);
  if (missing === undefined) return read;
  if (missing !== number && lineOf(missing) !== undefined) {
    const error = { message: `It refers to line ${missing}, which cannot be read.`, at: 0 };
    return { ok: false, error, follows: missing };
  }
  const message =
    missing === number
      ? 'It refers to itself.'
      : `It refers to line ${missing}, and there is no such line before it.`;
  return { ok: false, error: { message, at: 0 } };
}

const OPERATOR = '(?:and|or|not)';

/** Whether a text says nothing but which lines are joined, so that bare numbers are lines. */
function isSkeleton(text: string, signs: readonly string[]): boolean {
  const left = text
    .replace(new RegExp(`(?:${signs.map(escaped).join('|')})?\\d{1,4}`, 'giu'), ' ')
    .replace(new RegExp(`\\b(?:${OPERATOR}|to|any|all|of)\\b`, 'gi'), ' ');
  return /\d/.test(text) && !/[\p{L}\p{N}"]/u.test(left);
}

/**
 * `or/1-3`, `1-3 or`, `any of 1 to 3`: each line of the range, joined. A range without an operator is told, unless it
 * stands between others that say it.
 */
function spreadRanges(text: string): { text: string; range: string | null } {
  const range = String.raw`(?:[^\s\d()\/]?(\d{1,4}))\s*(?:-|–|\bto\b)\s*(?:[^\s\d()\/]?(\d{1,4}))`;
  const spread = (operator: string, from: string, to: string): string => {
    const [first, last] = [Number(from), Number(to)];
    if (last < first || last - first > 1000) return `${from} ${operator} ${to}`;
    const all = Array.from({ length: last - first + 1 }, (_, i) => first + i);
    return `(${all.join(` ${operator} `)})`;
  };
  const before = new RegExp(String.raw`\b(and|or|any of|all of)\s*[\/:]?\s*${range}`, 'gi');
  const behind = new RegExp(String.raw`${range}\s*[\/:,]?\s*\b(and|or)\b(?!\s*[\p{L}\p{N}#(])`, 'giu');
  const operatorOf = (joiner: string) => (/^(?:or|any)/i.test(joiner) ? 'or' : 'and');
  const result = text
    .replace(behind, (_all, from: string, to: string, joiner: string) => spread(operatorOf(joiner), from, to))
    .replace(before, (_all, joiner: string, from: string, to: string, at: number, whole: string) => {
      // “4 and 1-3” joins line 4 with the range, which is then said with the same operator.
      const joins = /[\p{L}\p{N})]\s*$/u.test(whole.slice(0, at)) && !/of$/i.test(joiner);
      return `${joins ? `${joiner} ` : ''}${spread(operatorOf(joiner), from, to)}`;
    });
  return { text: result, range: new RegExp(range, 'i').exec(result)?.[0] ?? null };
}

/** @param skeleton whether all numbers are references, or those only that are joined by an operator, or have a sign */
function referencePattern(signs: readonly string[], skeleton: boolean): RegExp {
  const sign = `(?:${signs.map(escaped).join('|')})`;
  const signed = `(?<![\\p{L}\\p{N}_#])${sign}${skeleton ? '?' : ''}\\d{1,4}(?![\\p{L}\\p{N}])`;
  const operand = `(?<=^|[(]\\s*|\\b${OPERATOR}\\s+)\\d{1,4}(?=\\s*$|\\s*[)]|\\s+${OPERATOR}\\b)`;
  return new RegExp(skeleton ? signed : `${signed}|${operand}`, 'giu');
}

/** Replaces what matches, but for what stands in quotation marks, where it is a word. */
function outsideQuotes(
  text: string,
  pattern: RegExp,
  replace: (line: number, at: number, match: string) => string,
): string {
  const quoted = [...text.matchAll(/"(?:\\.|[^"\\])*"?/g)].map(({ 0: all, index }) => [
    index,
    index + all.length,
  ]);
  return text.replace(pattern, (all: string, at: number) =>
    quoted.some(([from = 0, to = 0]) => at >= from && at < to)
      ? all
      : replace(Number(all.replace(/\D/g, '')), at, all),
  );
}

function escaped(sign: string): string {
  return sign.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
