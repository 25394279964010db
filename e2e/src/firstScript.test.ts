/** What a browser has to fetch before the first screen: it stays small enough for a slow line. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const MOST_BYTES = 200_000;

test('the scripts of the first screen come to less than 200 kB, packed', () => {
  const dist = join(__dirname, '..', '..', 'web', 'dist');
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const scripts = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(([, path = '']) => path);
  expect(scripts.length).toBeGreaterThan(0);
  const bytes = scripts.map((path) => gzipSync(readFileSync(join(dist, path))).length);
  expect(bytes.reduce((sum, each) => sum + each, 0)).toBeLessThan(MOST_BYTES);
});
