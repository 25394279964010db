import fc from 'fast-check';
import { segmentText } from './index.js';

const span = fc
  .tuple(fc.nat(20), fc.nat(20))
  .map(([a, b]) => ({ start: Math.min(a, b), end: Math.max(a, b) }));
const layers = fc.array(
  fc.record({ layer: fc.constantFrom('P', 'I', 'O'), spans: fc.array(span, { maxLength: 4 }) }),
  {
    maxLength: 3,
  },
);

test('segments joined are the text, and each letter carries the layers that mark it', () => {
  const text = 'bright light at night';
  fc.assert(
    fc.property(layers, (marks) => {
      const segments = segmentText(text, marks);
      expect(segments.map((segment) => segment.text).join('')).toBe(text);
      let at = 0;
      for (const segment of segments) {
        for (let i = 0; i < segment.text.length; i += 1, at += 1) {
          const expected = marks
            .filter(({ spans }) => spans.some(({ start, end }) => start <= at && at < end))
            .map(({ layer }) => layer);
          expect(segment.layers).toEqual(expected);
        }
      }
    }),
  );
});
