/** How fast strategies are printed in all dialects, and strings of each are read. */
import { DIALECTS, type DialectContext, type Query } from '@even-lantern/core';
import { measured, median, timed, type Measurement } from './measure.js';

const context: DialectContext = { vocabulary: 'tree', limitFields: ['language'] };
const TERMS = 200;
const ROUNDS = 7;
/** About as long as a string may be, in characters. */
const LENGTH = 900_000;
const AND: Readonly<Record<string, string>> = { wardline: ' and ', assayhouse: ' & ', skein: ' ' };

export function dialectsBench(): Measurement[] {
  const strategy = strategyOf(TERMS);
  const ofRounds = (run: () => void) => median(Array.from({ length: ROUNDS }, () => timed(run)));
  const all = ofRounds(() => {
    for (const dialect of DIALECTS.values()) dialect.print(strategy, context);
  });
  const measurements = [measured('dialects', 'translate-200-terms-into-five', all, 'ms')];
  for (const dialect of DIALECTS.values()) {
    const { text } = dialect.print(strategy, context);
    const times = Math.floor(LENGTH / (text.length + 8));
    const long = Array.from({ length: times }, () => `(${text})`).join(AND[dialect.id] ?? ' AND ');
    const ms = ofRounds(() => {
      const read = dialect.parse(long, context);
      if (!read.ok) throw new Error(read.error.message);
    });
    const rate = long.length / 1e6 / (ms / 1000);
    measurements.push(measured('dialects', `parse-${dialect.id}`, rate, 'MB/s', '>= 1'));
  }
  return measurements;
}

function strategyOf(terms: number): Query {
  const words = (text: string) => ({ text, anyEnding: false });
  return {
    kind: 'or',
    operands: Array.from({ length: terms }, (_, i): Query => {
      switch (i % 4) {
        case 0: {
          const label = `Heading ${i}`;
          return {
            kind: 'heading',
            vocabulary: 'tree',
            label,
            narrower: true,
            central: false,
            subheadings: [],
          };
        }
        case 1: {
          const parts = ['light', 'sleep'].map((text) => ({
            kind: 'words' as const,
            field: 'words' as const,
            phrase: [words(text + String(i))],
          }));
          return { kind: 'near', parts, distance: 3, ordered: false };
        }
        default:
          return {
            kind: 'words',
            field: i % 2 === 0 ? 'title' : 'words',
            phrase: [words(`word${i}`), words('next')],
          };
      }
    }),
  };
}
