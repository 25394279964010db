import type { ElementKey, FrameworkId, QuestionElement } from './elements.js';

type Part = (key: ElementKey) => string;

/**
 * The question as one sentence. Elements not yet written are left out.
 * @returns an empty string when nothing of the framework is written
 */
export function questionSentence(
  elements: readonly Pick<QuestionElement, 'key' | 'text'>[],
  framework: FrameworkId = 'pico',
): string {
  const part: Part = (key) =>
    (elements.find((element) => element.key === key)?.text ?? '').trim().replace(/[.?!\s]+$/, '');
  const sentence = SENTENCES[framework](part);
  return sentence === '' ? '' : `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}?`;
}

const SENTENCES: Readonly<Record<FrameworkId, (part: Part) => string>> = {
  pico(part) {
    const [population, intervention, comparison, outcome] = [part('P'), part('I'), part('C'), part('O')];
    const where = [part('T'), part('S')];
    if ([population, intervention, comparison, outcome, ...where].every((each) => each === '')) return '';
    const clauses = [
      before('in ', population),
      intervention === '' ? 'what is the effect' : `does ${intervention}`,
      before('compared with ', comparison),
      intervention === '' ? before('on ', outcome) : `affect ${outcome === '' ? '…' : outcome}`,
      ...where,
    ];
    return joined(clauses).replace(/, (affect|on) /, comparison === '' ? ' $1 ' : ', $1 ');
  },
  peo(part) {
    const [population, exposure, outcome] = [part('P'), part('E'), part('O')];
    if ([population, exposure, outcome].every((each) => each === '')) return '';
    return joined([before('in ', population), `is ${exposure || '…'} linked to ${outcome || '…'}`]);
  },
  'pico-qualitative'(part) {
    const [population, phenomenon, context] = [part('P'), part('PI'), part('Co')];
    if ([population, phenomenon, context].every((each) => each === '')) return '';
    return joined([`how do ${population || 'people'} live with ${phenomenon || '…'}`, context]);
  },
  spider(part) {
    const [sample, phenomenon, design, evaluation, type] = [
      part('Sa'),
      part('PI'),
      part('D'),
      part('Ev'),
      part('R'),
    ];
    if ([sample, phenomenon, design, evaluation, type].every((each) => each === '')) return '';
    return joined([
      `what do ${sample || 'people'} say of ${phenomenon || '…'}`,
      before('namely ', evaluation),
      before('as studied by ', design),
      before('in ', type),
    ]);
  },
};

function before(words: string, text: string): string {
  return text === '' ? '' : `${words}${text}`;
}

function joined(clauses: readonly string[]): string {
  return clauses.filter((clause) => clause !== '').join(', ');
}
