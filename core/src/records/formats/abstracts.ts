/** The sections of an abstract that came as one text. */
import type { AbstractSection } from '../model.js';

/** What sections of structured abstracts are called; in the order in which they come, though any is taken. */
const LABELS = [
  'background', 'introduction', 'context', 'rationale', 'purpose', 'objectives?', 'aims?', 'aim and objectives',
  'aims and objectives', 'design', 'study design', 'setting', 'data sources', 'search strategy', 'participants',
  'patients', 'population', 'sample', 'interventions?', 'main outcome measures?', 'outcome measures?', 'outcomes',
  'measures', 'methods?', 'materials and methods', 'methods and results', 'procedure', 'data collection', 'analysis',
  'data analysis', 'results?', 'findings', 'main results', 'discussion', 'limitations', 'conclusions?', 'interpretation',
  'implications', 'relevance to practice', 'relevance', 'funding', 'registration', 'trial registration', 'key messages',
]; // prettier-ignore
const LABEL = new RegExp(`(?<=^|[.?!;)”"]\\s+|\\s{2,})(${LABELS.join('|')})\\s*[:—]\\s+`, 'gi');
/** With fewer a colon may just be a colon. */
const FEWEST = 2;

/** @returns the sections that the text names; the whole as one where it names none */
export function sectionsOfText(text: string): AbstractSection[] {
  const whole = text.trim();
  if (whole === '') return [];
  const found = [...whole.matchAll(LABEL)].filter(([, label = '']) => /^\p{Lu}/u.test(label));
  const first = found[0];
  if (found.length < FEWEST || first === undefined || first.index !== 0)
    return [{ label: null, text: whole }];
  return found.map((match, i) => ({
    label: match[1] ?? null,
    text: whole.slice(match.index + match[0].length, found[i + 1]?.index ?? whole.length).trim(),
  }));
}
