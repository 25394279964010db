// Checks texts of `core/content` that programs hold within them, and writes them as modules, since `core` reads no files.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const core = fileURLToPath(new URL('../core/', import.meta.url));
const source = 'content/sayings.txt';
const module = 'src/vocabulary/sayings.generated.ts';

/** @throws where a line is not a name, a colon, and sayings between semicolons, each told once */
export function readSayings(text) {
  const lines = [];
  text.split('\n').forEach((line, i) => {
    if (line === '' || line.startsWith('#')) return;
    const wrong = (what) => {
      throw new Error(`core/${source}, line ${i + 1}: ${what}: ${line.slice(0, 60)}`);
    };
    const [name, sayings, ...more] = line.split(/:\s*/);
    if (sayings === undefined || more.length > 0)
      wrong('write one name, one colon, and what people say for it');
    if (!/^[A-Z][^;]*\S$/.test(name)) wrong('a name begins with a capital letter and has no semicolon');
    const said = sayings.split(';').map((each) => each.trim());
    if (said.includes('')) wrong('a saying is empty');
    const twice = said.find((each, at) => said.indexOf(each) !== at);
    if (twice !== undefined) wrong(`“${twice}” comes twice`);
    lines.push(`${name}: ${said.join('; ')}`);
  });
  return lines;
}

export function makeContent() {
  const lines = readSayings(readFileSync(join(core, source), 'utf8'));
  const text = [
    `// Made from core/${source} by scripts/content.mjs.`,
    `export const SAYINGS_TEXT = ${JSON.stringify(lines.join('\n'))};`,
    '',
  ].join('\n');
  const path = join(core, module);
  // A module that is written anew is compiled anew.
  if (!existsSync(path) || readFileSync(path, 'utf8') !== text) writeFileSync(path, text);
}
