/** Small matters of English: numbers in words, agreement, capitals, American spelling. */

/** The form of a verb that goes with a noun phrase: plural when its head noun is. */
export function verb(phrase: string, singular: string, plural: string): string {
  const head =
    phrase.split(/ (?:within|with|of|at|for|by|in|on|after|from|to|before|around|per|and)\b/)[0] ?? phrase;
  const isPlural = /(?<!s)s$/.test(head) && !/^(a|an|one) /.test(head);
  return isPlural ? plural : singular;
}

const SMALL = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

export function words(n: number): string {
  return SMALL[n] ?? String(n);
}

export function percent(part: number, whole: number): string {
  return ((100 * part) / whole).toFixed(0);
}

export function join(sentences: readonly string[]): string {
  return sentences.filter((sentence) => sentence !== '').join(' ');
}

/** The first letter of a text, or of what its opening quotation mark holds, as a capital. */
export function capitalise(text: string): string {
  return text.replace(/^(“?)(\p{L})/u, (_, quote: string, letter: string) => quote + letter.toUpperCase());
}

const AMERICAN: readonly [RegExp, string][] = [
  [/andomis/g, 'andomiz'], [/ospitalis/g, 'ospitaliz'], [/obilis/g, 'obiliz'], [/naesth/g, 'nesth'],
  [/(\b[Ll])abour/g, '$1abor'], [/ehaviour/g, 'ehavior'], [/rogrammes?\b/g, 'rogram'], [/aemo/g, 'emo'],
  [/(\b[Ff])ibre/g, '$1iber'], [/entre\b/g, 'enter'], [/entres\b/g, 'enters'], [/ynaec/g, 'ynec'],
  [/rthopaedic/g, 'rthopedic'], [/oedema/g, 'edema'], [/nalysed/g, 'nalyzed'], [/iarrhoea/g, 'iarrhea'],
]; // prettier-ignore

export function americanSpelling(text: string): string {
  return AMERICAN.reduce((spelled, [pattern, replacement]) => spelled.replace(pattern, replacement), text);
}
