/** The tables are such that PostgreSQL takes them too, for installations that many share. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { TABLES } from './tables.js';

test('all steps run on PostgreSQL, and make the columns that entities have', () => {
  const program = join(__dirname, '..', 'testing', 'postgresTables.mjs');
  const printed = execFileSync(process.execPath, [program], { encoding: 'utf8' });
  const tables = JSON.parse(printed) as Record<string, { made: string[]; entity: string[] }>;
  expect(Object.keys(tables).sort()).toEqual(TABLES.map(({ name }) => name).sort());
  for (const [name, { made, entity }] of Object.entries(tables)) expect([name, made]).toEqual([name, entity]);
});
