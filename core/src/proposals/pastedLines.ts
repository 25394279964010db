/**
 * Lines of pasted strategies before their terms are read: what is no line of terms is told by its shape, and what stands
 * around terms is taken off. Shapes and plain words only; nothing here knows the codes of any one program.
 */

export type SkipReason = 'joins other lines' | 'no term in it' | 'a limit or a date' | 'a header or a count';

const TAG = /<\/?[a-z][^<>]{0,80}>/gi;
const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  quot: '"',
  apos: "'",
  lt: '<',
  gt: '>',
  nbsp: ' ',
};
const ENTITY = /&(?:#(\d{1,6})|#x([0-9a-f]{1,5})|([a-z]{2,5}));/gi;

/** One letter of several: `wom[ae]n`. */
const ONE_OF = /(?<=\p{L})\[\p{L}{1,4}\](?=\p{L})/gu;
/** Remarks on how a heading was searched. */
const REMARK = /[[(][^[\]()]{0,120}\b(?:explod\w*|narrower|subheadings?)\b[^[\]()]{0,120}[\])]/gi;
/** A limit in square brackets with a code behind a slash. */
const LIMIT_IN_BRACKETS = /\[[^[\]]{0,60}\]\/[a-z]{2,5}\b/gi;
/** Years and dates, alone or as a range, with what marks them as such. */
const DATE = String.raw`(?:19|20)\d{2}(?:[-/.]\d{1,2}){0,2}`;
const DATES = new RegExp(
  String.raw`(?<![\p{L}\d])(?:[a-z]{1,4}\s*=\s*)?["“]?${DATE}\s*(?::|-|–|to)\s*(?:${DATE}|current|present)?["”]?(?:\[[^\]]{0,20}\])?(?![\p{L}\d])`,
  'giu',
);
/** Codes of subheadings behind a heading’s slash. */
const SUBHEADINGS = /(?<=\p{L}["”]?)(?<!\band)\/[a-z]{2}(?:\s*,\s*[a-z]{2})*(?=\s|$|\))/giu;
const SUBHEADING_IN_QUOTES = /(["“])(\p{Lu}[^"“”/]{1,80})\/[^"“”]{1,40}(["”])/gu;
/** Thousands that are written with a comma or a space, at the end of a line. */
const THOUSANDS_AT_END = /(?<=\S)\s+\d{1,3}(?:(?:,\d{3})+|(?: \d{3})+)\s*$/;
const OPERAND = String.raw`(?:^|[(]|\b(?:and|AND|or|OR|not|NOT)\b)[\s(]*`;
const CODE = String.raw`[A-Z]{2}`;
const TWO_CODES = new RegExp(String.raw`(?<=${OPERAND})${CODE}\s+${CODE}\s+(?=["“(]|[\p{L}])`, 'gu');
const CODE_OF_OPERAND = new RegExp(String.raw`(?<=${OPERAND})${CODE}\s+(?=["“(]|[\p{L}])`, 'gu');
const CODES_BEFORE_BRACKET = /(?<![\p{L}\d])[A-Z]{2}(?:\s*,\s*[A-Z]{2})+\s*(?=\()/gu;

const HEADER_WORDS = new Set(
  'no nr number search searches terms term query queries hits results result set sets line lines string strings records count step database'.split(
    ' ',
  ),
);
const MONTH = /\b(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\b/i;
const LANGUAGE = 'english|french|german|spanish|portuguese|italian|dutch';
const LANGUAGE_LIMIT = new RegExp(
  String.raw`\band\s+\(?(?:${LANGUAGE})(?:\[[^\]]{0,20}\])?\)?(?![\p{L}])`,
  'giu',
);
const LIMIT_LINE = new RegExp(
  String.raw`^(?:limit(?:ed|s)?\b|filters?\b|restrict(?:ed|ions?)?\b|.{0,40}\b(?:language|humans?|adults?)\b.{0,20}\bonly\b|(?:${LANGUAGE})(?:\s+language)?$)`,
  'iu',
);
const SEARCHED_ON = /^(?:date\b|(?:last\s+)?search(?:ed)?\b)/i;

/** Why a line, without its number, holds no terms; null where it may. */
export function reasonToSkip(line: string): SkipReason | null {
  const text = line.trim();
  if (LIMIT_LINE.test(text)) return 'a limit or a date';
  const year = /\b(?:19|20)\d{2}\b/.test(text);
  if (year && (SEARCHED_ON.test(text) || (MONTH.test(text) && text.split(/\s+/).length <= 5)))
    return 'a limit or a date';
  if (year && text.replace(DATES, '').replace(/[\s()[\].,]/g, '') === '') return 'a limit or a date';
  const words = text.toLowerCase().match(/\p{L}+/gu) ?? [];
  const numbers = /^[\d\s,.\u2009\u00a0]+$/.test(text);
  if (numbers || text === '#' || (words.length > 0 && words.every((word) => HEADER_WORDS.has(word)))) {
    return 'a header or a count';
  }
  return null;
}

/** A line as it was before a web page, a table or another program put marks around it. */
export function withoutMarks(raw: string): string {
  const text = raw.replace(TAG, ' ').replace(ENTITY, decoded);
  return cellsOf(text)
    .replace(ONE_OF, '?')
    .replace(REMARK, ' ')
    .replace(LIMIT_IN_BRACKETS, ' ')
    .replace(SUBHEADING_IN_QUOTES, '$1$2$3/')
    .replace(SUBHEADINGS, '/');
}

/** Without the dates, languages and codes that stand among terms. */
export function withoutCodes(line: string): string {
  const text = line
    .replace(THOUSANDS_AT_END, '')
    .replace(DATES, ' ')
    .replace(LANGUAGE_LIMIT, ' ')
    .replace(CODES_BEFORE_BRACKET, '')
    .replace(TWO_CODES, '');
  const codes = text.match(CODE_OF_OPERAND) ?? [];
  // One code may be an abbreviation that somebody searches for; one before each term is none.
  return codes.length > 1 ? text.replace(CODE_OF_OPERAND, marked) : text;
}

/** A code before a name in quotation marks leaves behind that it is a name. */
function marked(code: string, ...rest: unknown[]): string {
  const [offset, whole] = rest as [number, string];
  const after = whole.slice(offset + code.length);
  return /^["“]\p{Lu}/u.test(after) ? '*' : '';
}

/** Of a row of a table the cells that are no numbers. */
function cellsOf(line: string): string {
  const cells = line.split(/\s\|\s|^\||\|$/);
  if (cells.length < 3) return line;
  return cells.filter((cell) => !/^[\d\s,.\u2009\u00a0]*$/.test(cell)).join(' , ');
}

function decoded(entity: string, decimal?: string, hex?: string, name?: string): string {
  if (name !== undefined) return ENTITIES[name.toLowerCase()] ?? entity;
  const code = decimal === undefined ? parseInt(hex ?? '', 16) : Number(decimal);
  return code > 0 && code < 0x11_0000 && (code < 0xd800 || code > 0xdfff) ? String.fromCodePoint(code) : ' ';
}
