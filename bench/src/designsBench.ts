/** How well the design of a record is told, without its labels. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  designTree,
  emptyRecord,
  likelyDesigns,
  readDesignRules,
  vocabularyFromTurtle,
  type BibRecord,
  type DesignRule,
  type DesignTree,
} from '@even-lantern/core';
import { readContent, writeRecords, STUDY_DESIGNS } from '@even-lantern/standins';
import { measured, timed, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');
const content = (name: string) => readFileSync(join(root, 'core', 'content', name), 'utf8');

interface Known {
  record: BibRecord;
  design: string;
}

export async function designsBench(): Promise<Measurement[]> {
  const read = await vocabularyFromTurtle(content('study-designs.ttl'));
  if (!read.ok) throw new Error(read.message);
  const tree = designTree(read.vocabulary);
  const { rules, problems } = readDesignRules(
    content('design-rules.txt'),
    new Set(tree.designs.map(({ label }) => label)),
  );
  if (problems.length > 0) throw new Error(JSON.stringify(problems));
  const hard = hardCases('designs-hard.txt');
  const further = hardCases('designs-hard-further.txt');
  const unseen = hardCases('designs-plain.txt');
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    measured('designs', metric, value, unit, aim);
  const half = (cases: readonly Known[], open: boolean) => cases.filter((_, i) => (i % 2 === 0) === open);
  const show = process.env.SHOW_MISSES !== undefined;
  const written = corpus();
  const ten = written.map(({ record }) => record);
  return [
    ...figures('corpus', written, rules, tree, '>= 0.95', add, show),
    add(
      `${ten.length}-records`,
      timed(() => ten.forEach((record) => likelyDesigns(record, rules, tree))),
      'ms',
    ),
    add('hard-cases', hard.length, 'records', '>= 150'),
    ...figures('hard-open', half(hard, true), rules, tree, '>= 0.9', add, show),
    ...figures('hard-shut', half(hard, false), rules, tree, '>= 0.9', add, false),
    ...figures('further-open', half(further, true), rules, tree, '>= 0.9', add, show),
    ...figures('further-shut', half(further, false), rules, tree, '>= 0.9', add, false),
    ...figures('plain-open', half(unseen, true), rules, tree, '>= 0.95', add, show),
    ...figures('plain-shut', half(unseen, false), rules, tree, '>= 0.95', add, false),
  ];
}

const CORPUS_SIZE = 10_000;

/** Records that the generator makes, with the design that it meant. Those without an abstract tell it by their title alone. */
function corpus(): Known[] {
  const known = new Set<string>(STUDY_DESIGNS);
  return writeRecords(readContent(join(root, 'standins', 'content')), { seed: 20270101, size: CORPUS_SIZE })
    .filter(({ design, record }) => known.has(design) && record.abstract.length > 0)
    .map(({ record, design }) => ({ record, design: design.charAt(0).toUpperCase() + design.slice(1) }));
}

function hardCases(file: string): Known[] {
  return readFileSync(join(root, 'bench', 'content', file), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => {
      const [design = '', title = '', text = ''] = line.split(' | ');
      return { design, record: { ...emptyRecord(), title, abstract: [{ label: null, text }] } };
    });
}

/** Means over designs of how often what is told is right, and how often what is there is told, by family. */
function figures(
  name: string,
  known: readonly Known[],
  rules: readonly DesignRule[],
  tree: DesignTree,
  aim: string,
  add: (metric: string, value: number, unit: string, aim?: string) => Measurement,
  showMisses: boolean,
): Measurement[] {
  const told = known.map(({ record, design }) => {
    const [first] = likelyDesigns(record, rules, tree, { withoutLabels: true });
    const family = tree.familyOf(design) ?? design;
    const got = first === undefined ? null : (tree.familyOf(first.design) ?? first.design);
    if (showMisses && got !== family) {
      const all = likelyDesigns(record, rules, tree, { withoutLabels: true });
      console.log(`${design}: ${record.title}`);
      for (const each of all)
        console.log(`   ${each.design} ${each.score}: ${each.for.map(({ words }) => words).join('; ')}`);
    }
    return { family, got, design, kind: first?.design ?? null };
  });
  const families = [...new Set(told.map(({ family }) => family))];
  const share = (part: number, of: number) => (of === 0 ? 1 : part / of);
  const per = families.map((family) => {
    const right = told.filter((each) => each.family === family && each.got === family).length;
    return {
      family,
      precision: share(right, told.filter(({ got }) => got === family).length),
      recall: share(right, told.filter((each) => each.family === family).length),
    };
  });
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const kinds = told.filter(({ design, family }) => design !== family);
  const weakest = [...per].sort((a, b) => a.recall + a.precision - b.recall - b.precision)[0];
  return [
    add(
      `${name}-right`,
      share(told.filter(({ family, got }) => family === got).length, told.length),
      '',
      aim,
    ),
    add(`${name}-precision`, mean(per.map(({ precision }) => precision)), '', aim),
    add(`${name}-recall`, mean(per.map(({ recall }) => recall)), '', aim),
    add(
      `${name}-kind-right`,
      share(kinds.filter(({ design, kind }) => design === kind).length, kinds.length),
      '',
    ),
    add(
      `${name}-weakest (${weakest?.family ?? ''})`,
      weakest === undefined ? 0 : Math.min(weakest.recall, weakest.precision),
      '',
    ),
  ];
}
