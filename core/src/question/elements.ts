/** The elements that questions are framed with, and the frameworks that put them together. */

export const ELEMENT_KEYS = ['P', 'I', 'C', 'O', 'T', 'S', 'E', 'PI', 'Co', 'Sa', 'D', 'Ev', 'R'] as const;
export type ElementKey = (typeof ELEMENT_KEYS)[number];

export interface QuestionElement {
  key: ElementKey;
  text: string;
  note: string;
  /** whether the element becomes a lane */
  searched: boolean;
}

export interface ElementShape {
  key: ElementKey;
  /** what its tile shows */
  letter: string;
  name: string;
  asks: string;
  example: string;
}

const SHAPES: readonly ElementShape[] = [
  {
    key: 'P',
    letter: 'P',
    name: 'Population',
    asks: 'Who is it about?',
    example: 'adult hospital staff on night or rotating shifts',
  },
  {
    key: 'I',
    letter: 'I',
    name: 'Intervention',
    asks: 'What is done, or what are they exposed to?',
    example: 'timed bright light',
  },
  {
    key: 'C',
    letter: 'C',
    name: 'Comparison',
    asks: 'Compared with what?',
    example: 'usual or dim lighting',
  },
  { key: 'O', letter: 'O', name: 'Outcome', asks: 'What should change?', example: 'sleepiness on duty' },
  { key: 'T', letter: 'T', name: 'Time', asks: 'Over what time?', example: 'within three months' },
  {
    key: 'S',
    letter: 'S',
    name: 'Setting',
    asks: 'Where does it take place?',
    example: 'in acute hospitals',
  },
  {
    key: 'E',
    letter: 'E',
    name: 'Exposure',
    asks: 'What are they exposed to?',
    example: 'rotating night shifts',
  },
  {
    key: 'PI',
    letter: 'PI',
    name: 'Phenomenon of interest',
    asks: 'What is it that they live through, do or think?',
    example: 'being woken on call',
  },
  {
    key: 'Co',
    letter: 'Co',
    name: 'Context',
    asks: 'In what surroundings?',
    example: 'in rural ambulance services',
  },
  {
    key: 'Sa',
    letter: 'S',
    name: 'Sample',
    asks: 'Who was asked or observed?',
    example: 'volunteers on rural ambulance rotas',
  },
  {
    key: 'D',
    letter: 'D',
    name: 'Design',
    asks: 'How was it studied?',
    example: 'interviews or group discussions',
  },
  {
    key: 'Ev',
    letter: 'E',
    name: 'Evaluation',
    asks: 'What is told about it?',
    example: 'their experience, and the effect on family life',
  },
  {
    key: 'R',
    letter: 'R',
    name: 'Research type',
    asks: 'What kind of research?',
    example: 'qualitative research',
  },
];

export function elementShape(key: ElementKey): ElementShape {
  const shape = SHAPES.find((each) => each.key === key);
  if (shape === undefined) throw new RangeError(`no element ${key}`);
  return shape;
}

export const FRAMEWORK_IDS = ['pico', 'peo', 'pico-qualitative', 'spider'] as const;
export type FrameworkId = (typeof FRAMEWORK_IDS)[number];

export interface Framework {
  id: FrameworkId;
  name: string;
  /** what kind of question it is for */
  purpose: string;
  /** in the order of the sentence */
  elements: readonly ElementKey[];
  /** those that a new question searches on; the others often narrow too much */
  searchedAtFirst: readonly ElementKey[];
}

/** The trade’s frameworks. Their names and elements are common property of the literature on framing questions. */
export const FRAMEWORKS: readonly Framework[] = [
  {
    id: 'pico',
    name: 'PICO',
    purpose: 'what an intervention does',
    elements: ['P', 'I', 'C', 'O', 'T', 'S'],
    searchedAtFirst: ['P', 'I'],
  },
  {
    id: 'peo',
    name: 'PEO',
    purpose: 'what an exposure is linked to',
    elements: ['P', 'E', 'O'],
    searchedAtFirst: ['P', 'E'],
  },
  {
    id: 'pico-qualitative',
    name: 'PICo',
    purpose: 'how people live through something',
    elements: ['P', 'PI', 'Co'],
    searchedAtFirst: ['P', 'PI'],
  },
  {
    id: 'spider',
    name: 'SPIDER',
    purpose: 'what people say of something',
    elements: ['Sa', 'PI', 'D', 'Ev', 'R'],
    searchedAtFirst: ['Sa', 'PI'],
  },
];

export function frameworkOf(id: FrameworkId): Framework {
  const framework = FRAMEWORKS.find((each) => each.id === id);
  if (framework === undefined) throw new RangeError(`no framework ${id}`);
  return framework;
}

/** What kind of question it is, as far as that bears on where to search. */
export const QUESTION_TYPES = ['intervention', 'exposure', 'experience'] as const;
export type QuestionType = (typeof QUESTION_TYPES)[number];

const TYPES: Readonly<Record<FrameworkId, QuestionType>> = {
  pico: 'intervention',
  peo: 'exposure',
  'pico-qualitative': 'experience',
  spider: 'experience',
};

/** The type of question that a framework is made for. */
export function questionTypeOf(framework: FrameworkId): QuestionType {
  return TYPES[framework];
}

/**
 * The elements of a framework in its order, then any others, which were written under another framework.
 * @returns `others` only where there is something in them to keep in view
 */
export function arrangeElements<T extends QuestionElement>(
  framework: FrameworkId,
  elements: readonly T[],
  isEmpty: (element: T) => boolean,
): { own: T[]; others: T[] } {
  const { elements: keys } = frameworkOf(framework);
  const own = keys.flatMap((key) => elements.filter((element) => element.key === key));
  const others = elements.filter(({ key }) => !keys.includes(key)).filter((element) => !isEmpty(element));
  return { own, others };
}
