/** The framed question: PICO with time, as elements and as one sentence. */

export type ElementKey = 'P' | 'I' | 'C' | 'O' | 'T';

export interface QuestionElement {
  key: ElementKey;
  text: string;
  note: string;
  /** whether the element becomes a lane */
  searched: boolean;
}

/** The elements in the order of the sentence. */
export const ELEMENTS: readonly { key: ElementKey; name: string; asks: string; example: string }[] = [
  {
    key: 'P',
    name: 'Population',
    asks: 'Who is it about?',
    example: 'adult hospital staff on night or rotating shifts',
  },
  {
    key: 'I',
    name: 'Intervention',
    asks: 'What is done, or what are they exposed to?',
    example: 'timed bright light',
  },
  { key: 'C', name: 'Comparison', asks: 'Compared with what?', example: 'usual or dim lighting' },
  { key: 'O', name: 'Outcome', asks: 'What should change?', example: 'sleepiness on duty' },
  { key: 'T', name: 'Time', asks: 'Over what time?', example: 'within three months' },
];

/**
 * The question as one sentence. Elements not yet written are left out.
 * @returns an empty string when nothing is written
 */
export function questionSentence(elements: readonly Pick<QuestionElement, 'key' | 'text'>[]): string {
  const text = (key: ElementKey) =>
    (elements.find((element) => element.key === key)?.text ?? '').trim().replace(/[.?!\s]+$/, '');
  const [population, intervention, comparison, outcome, time] = [
    text('P'),
    text('I'),
    text('C'),
    text('O'),
    text('T'),
  ];
  if ([population, intervention, comparison, outcome, time].every((part) => part === '')) return '';
  const clauses = [
    population === '' ? '' : `in ${population}`,
    intervention === '' ? 'what is the effect' : `does ${intervention}`,
    comparison === '' ? '' : `compared with ${comparison}`,
    intervention === ''
      ? outcome === ''
        ? ''
        : `on ${outcome}`
      : `affect ${outcome === '' ? '…' : outcome}`,
    time,
  ].filter((clause) => clause !== '');
  const sentence = clauses.join(', ').replace(/, (affect|on) /, comparison === '' ? ' $1 ' : ', $1 ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}?`;
}
