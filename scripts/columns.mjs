// Writes the guide's list of the columns of a package, from the comments on the tables themselves.
// `--check` says whether the list is what would be written, and writes nothing.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import prettier from 'prettier';
import { begin } from './command.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const entities = join(root, 'server', 'src', 'store', 'entities');
const page = join(root, 'docs', 'guide', 'columns.md');

const HEAD = `# Columns of a package

Every table of a [package](packages.md) and what its columns hold. A column of type _row of_ holds the \`id\` of a row of that
table. _JSON_ is JSON as text. Where a column may be \`null\`, the type says so.
`;

const TYPES = {
  Id: 'text, its own id',
  Short: 'text',
  Text: 'text',
  KeyText: 'text',
  DatabaseId: 'text, the id of a database',
  Whole: 'whole number',
  Flag: 'true or false',
  Json: 'JSON',
  JsonText: 'JSON',
};

const { values } = begin(
  `npm run columns              writes docs/guide/columns.md from the comments on the tables
npm run columns -- --check   says whether it is up to date, and writes nothing`,
  { options: { check: { type: 'boolean' } } },
);
const text = await prettier.format(await pageOf(), {
  ...(await prettier.resolveConfig(page)),
  parser: 'markdown',
});
if (values.check !== true) writeFileSync(page, text);
else if (readFileSync(page, 'utf8') !== text) {
  console.error('docs/guide/columns.md is not what the tables say. Run: npm run columns');
  process.exit(1);
}

async function pageOf() {
  const sources = readdirSync(entities).map((file) => readFileSync(join(entities, file), 'utf8'));
  const names = new Map();
  for (const source of sources)
    for (const [, table, row] of source.matchAll(/@Table\('(\w+)'[\s\S]*?\)\s*export class (\w+)/g))
      names.set(row, table);
  const tables = sources
    .flatMap((source) => tablesIn(source, names))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return HEAD + tables.map(sectionOf).join('');
}

function tablesIn(source, names) {
  const found = source.matchAll(
    /(?:\/\*\*((?:(?!\*\/)[\s\S])*)\*\/\s*)?@Table\('(\w+)', '([^']+)'[\s\S]*?\)\s*export class \w+ \{([\s\S]*?)\n\}/g,
  );
  return [...found]
    .filter(([, , , owner]) => owner !== 'installation')
    .map(([, about, name, , body]) => ({ name, about: plain(about), columns: columnsIn(body, names) }));
}

function columnsIn(body, names) {
  const lines = body.matchAll(
    /(?:\/\*\*((?:(?!\*\/)[\s\S])*)\*\/\s*)?@(\w+)\(([\s\S]*?)\)\s+(\w+): ([^;]+);/g,
  );
  return [...lines].map(([, about, kind, options, name, type]) => {
    const row = /=> (\w+)/.exec(options)?.[1];
    const base = kind === 'RefersTo' ? `row of ${names.get(row) ?? row}` : (TYPES[kind] ?? type);
    return { name, type: /\bnull\b/.test(type) ? `${base}, or null` : base, about: plain(about) };
  });
}

function plain(comment = '') {
  return comment
    .replace(/\s*\n\s*\*?\s*/g, ' ')
    .trim()
    .replaceAll('|', '\\|');
}

function sectionOf({ name, about, columns }) {
  const rows = columns.map((each) => `| \`${each.name}\` | ${each.type} | ${each.about} |`);
  return `\n## ${name}\n\n${about === '' ? '' : `${about}\n\n`}| column | type | what it holds |\n| --- | --- | --- |\n${rows.join('\n')}\n`;
}
