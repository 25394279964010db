import fc from 'fast-check';
import { childAt, parseXml } from '../records/index.js';
import { PICTURE_WIDTH, svgBar, svgCount, svgDocument, svgText } from './index.js';

const read = (svg: string) => {
  const xml = parseXml(svg);
  if (!xml.ok) throw new Error(xml.message);
  return xml.root;
};

test('a picture stands alone: it names its size, and says what it shows', () => {
  const root = read(svgDocument('Where the numbers fall', 120, [svgBar(20, 30, 100.26, 8, '#6b7da3')]));
  expect([root.name, root.attributes.width, root.attributes.height]).toEqual([
    'svg',
    String(PICTURE_WIDTH),
    '120',
  ]);
  expect(childAt(root, 'title')?.text).toBe('Where the numbers fall');
  expect(root.children.at(-1)?.attributes).toMatchObject({ x: '20.0', width: '100.3', height: '8' });
});

test('whatever a lane is called, the picture is XML and shows it', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (name) => {
      const root = read(svgDocument(name, 20, [svgText(0, 10, `x${name}x`)]));
      // XML has no place for control characters, and folds white space.
      const plain = (text: string) => text.replace(/[\p{C}\s\ufffd]+/gu, '');
      expect(plain(root.children.at(-1)?.text ?? '')).toBe(plain(`x${name}x`));
    }),
  );
});

test('a long text is cut with an ellipsis, never within a letter', () => {
  const text = read(svgDocument('', 20, [svgText(0, 10, '🌙'.repeat(200))])).children.at(-1)?.text ?? '';
  expect([...text]).toEqual([...'🌙'.repeat(95), '…']);
});

test('a count that nobody has is a dash', () => {
  expect(svgCount(10, null)).toContain('>–<');
  expect(svgCount(10, 12345)).toMatch(/text-anchor="end" >12\D345</);
});
