/** The drawing of the server's folders in docs/architecture.md is that of the imports. */
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

const SOURCE = join(__dirname, '..');
const ARCHITECTURE = join(__dirname, '..', '..', '..', 'docs', 'architecture.md');

/** By folder, the folders that its files import. Tests may set up the whole application, so they are left out. */
function importsByFolder(): Map<string, Set<string>> {
  const imports = new Map<string, Set<string>>();
  for (const entry of readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })) {
    if (!/\.ts$/.test(entry) || /\.test\.ts$/.test(entry) || entry.startsWith('testing')) continue;
    const [folder = '', ...within] = entry.split('/');
    if (within.length === 0) continue;
    const known = imports.get(folder) ?? new Set();
    imports.set(folder, known);
    for (const [, path = ''] of readFileSync(join(SOURCE, entry), 'utf8').matchAll(/from '(\.[^']+)'/g)) {
      const [other = ''] = relative(SOURCE, resolve(dirname(join(SOURCE, entry)), path)).split('/');
      if (other !== folder) known.add(other);
    }
  }
  return imports;
}

/** Of what folders import, what follows from no other import: enough to know the order. */
function reduced(imports: ReadonlyMap<string, ReadonlySet<string>>): string[] {
  const reached = (from: string, seen = new Set<string>()): Set<string> => {
    for (const next of imports.get(from) ?? []) {
      if (seen.has(next)) continue;
      seen.add(next);
      reached(next, seen);
    }
    return seen;
  };
  return [...imports].flatMap(([folder, others]) =>
    [...others]
      .filter((other) => ![...others].some((between) => between !== other && reached(between).has(other)))
      .map((other) => `${folder} --> ${other}`),
  );
}

test('each arrow of the drawing is an import, and each import follows from the arrows', () => {
  const text = readFileSync(ARCHITECTURE, 'utf8');
  const [, drawing = ''] = /```mermaid\n%% folders of the server\n([\s\S]*?)```/.exec(text) ?? [];
  const drawn = drawing.split('\n').filter((line) => line.includes('-->'));
  // What the drawing should be stands in the message where it is not.
  const bundled = drawn.flatMap((line) => {
    const [from = '', to = ''] = line.trim().split(' --> ');
    return to.split(' & ').map((each) => `${from} --> ${each}`);
  });
  const imports = importsByFolder();
  // The roof is on all of them.
  imports.delete('application');
  expect(bundled.sort()).toEqual(reduced(imports).sort());
});
