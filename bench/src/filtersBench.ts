/**
 * How well the design filters, and databases’ own labels, find designs: in each database, against what the makers of its
 * records know. With `--write` the counts go into `core/content/filter-figures.json`, which the program shows, and the
 * designs of the records of some years into `core/content/known-designs.json`, by which it measures filters that people write.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  applyLimit,
  DESIGN_FILTERS,
  docsOf,
  evaluate,
  filterCounts,
  filterFigures,
  LEAST_KNOWN,
  limitsOfDatabase,
  STRENGTHS,
  type DesignTree,
  type FilterCounts,
  type FilterFigures,
  type LimitWay,
  type Query,
  type Strength,
} from '@even-lantern/core';
import { openDatabases } from '@even-lantern/standins';
import { measured, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');
/** Kinds that a filter finds with their family, by the names that the generator gives them. */
const FAMILY: Readonly<Record<string, string>> = {
  'parallel-group randomised trial': 'randomised trial',
  'cross-over trial': 'randomised trial',
  'cluster-randomised trial': 'randomised trial',
  'trial record': 'randomised trial',
  'controlled before-after study': 'quasi-experimental study',
  'interrupted time series': 'quasi-experimental study',
  'case report': 'case series',
  'interview study': 'qualitative study',
  'focus group study': 'qualitative study',
  ethnography: 'qualitative study',
  'grounded theory study': 'qualitative study',
  'phenomenological study': 'qualitative study',
  'meta-analysis': 'systematic review',
  'assayed review': 'systematic review',
  'assayed review update': 'systematic review',
  'review from elsewhere': 'systematic review',
  'assayed review protocol': 'protocol',
  'assayed economic evaluation': 'economic evaluation',
  overview: 'overview for practice',
  'care summary': 'overview for practice',
};
/** The years whose records are told by their design end here, and begin where there are enough. */
const LAST_KNOWN_YEAR = 2019;
const ENOUGH_KNOWN = 500;

interface Told {
  database: string;
  /** the name and release, and how many records were looked at */
  measuredOn: string;
  design: string;
  /** a strength of the filter, or `own limit` */
  how: Strength | 'own limit';
  counts: FilterCounts;
}

export function filtersBench(write: boolean): Measurement[] {
  const told = measureAll();
  if (write) {
    const file = join(root, 'core', 'content', 'filter-figures.json');
    writeFileSync(file, `${JSON.stringify(told, null, 2)}\n`);
    const known = join(root, 'core', 'content', 'known-designs.json');
    writeFileSync(
      known,
      `[\n${knownDesigns()
        .map((each) => JSON.stringify(each))
        .join(',\n')}\n]\n`,
    );
  }
  const pooled = (design: string, how: Told['how']): FilterFigures => {
    const all = told.filter((each) => each.design === design && each.how === how).map(({ counts }) => counts);
    const sum = (key: keyof FilterCounts) => all.reduce((total, counts) => total + counts[key], 0);
    return filterFigures({
      right: sum('right'),
      wrong: sum('wrong'),
      missed: sum('missed'),
      passed: sum('passed'),
    });
  };
  const designs = DESIGN_FILTERS.map(({ design }) => design).filter((design) =>
    told.some((each) => each.design === design),
  );
  return designs.flatMap((design) =>
    ([...STRENGTHS, 'own limit'] as const).flatMap((how) => {
      const { sensitivity, specificity, precision, toRead } = pooled(design, how);
      if (sensitivity === null) return [];
      const add = (what: string, value: number | undefined, unit: string, aim?: string) =>
        measured('filters', `${design.toLowerCase()}, ${how}: ${what}`, value ?? Number.NaN, unit, aim);
      return [
        add('sensitivity', sensitivity.value, '', how === 'nearly all' ? '>= 0.95' : undefined),
        add('specificity', specificity?.value, ''),
        add('precision', precision?.value, '', how === 'nearly only' ? '>= 0.85' : undefined),
        add('to read', toRead?.value, 'records'),
      ];
    }),
  );
}

type StandIns = ReturnType<typeof openDatabases>;

function withDatabases<T>(use: (databases: StandIns, designs: ReadonlyMap<string, string>) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'filters-'));
  try {
    const databases = openDatabases({ contentFolder: join(root, 'standins', 'content'), dataFolder: folder });
    return use(databases, designsIn(folder));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The records of some years in each database, by their design; those that are of no design under an empty name. */
function knownDesigns() {
  return withDatabases((databases, designs) =>
    databases.map((standIn) => {
      const { id, records } = standIn.present();
      const within = (from: number) => records.filter(({ year }) => year >= from && year <= LAST_KNOWN_YEAR);
      let from = LAST_KNOWN_YEAR;
      while (within(from).length < ENOUGH_KNOWN) from -= 1;
      const byDesign: Record<string, string[]> = {};
      for (const { accession } of within(from)) {
        const design = designs.get(accession) ?? '';
        const label = DESIGN_FILTERS.find((each) => each.design.toLowerCase() === design)?.design ?? '';
        (byDesign[label] ??= []).push(accession);
      }
      return { database: id, from, to: LAST_KNOWN_YEAR, designs: byDesign };
    }),
  );
}

function measureAll(): Told[] {
  return withDatabases((databases, designs) =>
    databases.flatMap((standIn) => {
      const { id, name, release, records, index, limits } = standIn.present();
      const described = limitsOfDatabase({ id, limits, dialect: null });
      const known = records.map(({ accession }) => designs.get(accession) ?? '');
      const measuredOn = `${name}, release ${release}: ${records.length} records of known design`;
      return DESIGN_FILTERS.flatMap(({ design }): Told[] => {
        const of = design.toLowerCase();
        const all = known.filter((each) => each === of).length;
        if (all < LEAST_KNOWN) return [];
        const by = (way: LimitWay, strength?: Strength): Query | null => {
          const values = {
            kind: 'values' as const,
            values: [design],
            ...(strength === undefined ? {} : { strength }),
          };
          const applied = applyLimit({ kind: 'design', values, ways: { [id]: way } }, described);
          return applied.way === way ? applied.query : null;
        };
        const ways: [Told['how'], Query | null][] = [
          ...STRENGTHS.map((strength): [Told['how'], Query | null] => [strength, by('words', strength)]),
          ['own limit', by('own')],
        ];
        return ways.flatMap(([how, query]) => {
          if (query === null) return [];
          const found = evaluate(query, index, { narrowerOf: () => null });
          if (!found.ok) throw new Error(found.error.message);
          const counts = filterCounts(docsOf(found.documents), known, [of], NO_KINDS);
          return [{ database: id, measuredOn, design, how, counts }];
        });
      });
    }),
  );
}

/** The designs are told by their families already. */
const NO_KINDS: DesignTree = { designs: [], familyOf: () => null, below: () => [] };

/** What the makers of the records know, by accession number: the family of each design. */
function designsIn(folder: string): ReadonlyMap<string, string> {
  const file = readdirSync(folder).find((name) => name.startsWith('truth-'));
  if (file === undefined) throw new Error('the designs of the records are not known');
  const lines = readFileSync(join(folder, file), 'utf8')
    .split('\n')
    .filter((line) => line !== '');
  return new Map(
    lines.map((line) => {
      const { accession, design, kind } = JSON.parse(line) as {
        accession: string;
        design: string;
        kind: string;
      };
      const told = kind in FAMILY ? kind : design;
      return [accession, FAMILY[told] ?? told] as const;
    }),
  );
}
