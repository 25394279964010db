/** The guide holds together: its links lead somewhere, its keys are those of the program, and the program’s links into it do. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { keysOfScreen, keyTable, type KeyScreen } from '../../parts/keys/keys.js';
import { addressOfLink, guidePages, START } from '../../parts/guide/guidePages.js';

const folder = join(__dirname, '..', '..', '..', '..', 'docs', 'guide');
const names = readdirSync(folder).filter((name) => name.endsWith('.md'));
const files = Object.fromEntries(names.map((name) => [name, readFileSync(join(folder, name), 'utf8')]));
const pages = guidePages(files);
const addresses = new Set(
  pages.flatMap(({ id, sections }) => [`/guide/${id}`, ...sections.map((each) => `/guide/${id}#${each.id}`)]),
);

test('every file of the guide is a page, with a title and text', () => {
  expect(pages.map(({ id }) => (id === START ? 'README' : id)).sort()).toEqual(
    names.map((name) => name.replace('.md', '')).sort(),
  );
  for (const { title, text } of pages) expect([title.length > 0, text.length > 500]).toEqual([true, true]);
});

test('every link of the guide leads to a page, a section or a file that is there', () => {
  const links = names.flatMap((name) =>
    [...(files[name] ?? '').matchAll(/\]\(([^)]+)\)/g)].map(([, href = '']) => ({ name, href })),
  );
  expect(links.length).toBeGreaterThan(4);
  const broken = links.filter(({ name, href }) => {
    const address = addressOfLink(href, name.replace('.md', ''));
    return address === null ? !readdirSync(folder).includes(href) : !addresses.has(address);
  });
  expect(broken).toEqual([]);
});

test('every link from the program into the guide leads to a page or section', () => {
  const source = join(__dirname, '..', '..');
  const code = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter((path) =>
    path.endsWith('.tsx'),
  );
  const links = code.flatMap((path) =>
    [...readFileSync(join(source, path), 'utf8').matchAll(/<GuideLink\s+to="([^"]+)"/g)].map(
      ([, to = '']) => to,
    ),
  );
  expect(links.length).toBeGreaterThan(2);
  expect(links.filter((to) => !addresses.has(`/guide/${to}`))).toEqual([]);
});

test('each stage has three sentences for somebody who has never done this', () => {
  const intros = pages.flatMap(({ id, intro }) => (intro === null ? [] : [[id, intro] as const]));
  expect(intros.map(([id]) => id)).toEqual(['question', 'concepts', 'searches', 'limits', 'records']);
  for (const [, intro] of intros) expect(intro.match(/[.?](?= [A-Z]|$)/g)).toHaveLength(3);
});

/** What stands between backquotes and is a key or a chord: `Alt C`, `K`, `↑`. */
const keysIn = (text: string) =>
  [...text.matchAll(/`((?:(?:Alt|Ctrl|Shift) )*(?:[A-Z0-9?]|Esc|Enter|Delete|Space|[↑↓]))`/g)].map(
    ([, key = '']) => key,
  );
/** Nobody needs to look these up. */
const OF_ALL_PROGRAMS = ['?', 'Enter'];
const keysOf = (screen: string) =>
  keysOfScreen(screen)
    .flatMap(({ chords }) => chords)
    .filter((chord) => chord !== 'or' && chord !== '…');
const SCREENS: readonly KeyScreen[] = ['everywhere', 'question', 'concepts', 'searches', 'limits', 'records'];

test.each(SCREENS)('the guide has the table of the keys of %s', (screen) => {
  const page = screen === 'everywhere' ? 'README.md' : `${screen}.md`;
  const [, table] = /^## Keys[^\n]*\n\n((?:\|[^\n]*\n)+)/m.exec(files[page] ?? '') ?? [];
  expect(table).toBe(`${keyTable(screen)}\n`);
});

test('the guide names no key that the program does not list', () => {
  const everywhere = keysOf('everywhere');
  const strangers = Object.keys(files).flatMap((name) => {
    const own = keysOf(name.replace('.md', ''));
    return keysIn(files[name] ?? '')
      .filter((key) => !own.includes(key) && !everywhere.includes(key) && !OF_ALL_PROGRAMS.includes(key))
      .map((key) => `${name}: ${key}`);
  });
  expect(strangers).toEqual([]);
});
