/**
 * One description for each table, at its entity: whose rows they are, what columns refer to, which hold JSON, which name a
 * person or a database. Packages, deletion, the review that an edit belongs to, and the tests that compare tables are
 * derived from it.
 */
import {
  Column,
  Entity,
  PrimaryColumn,
  VersionColumn,
  type ColumnOptions,
  type ValueTransformer,
} from 'typeorm';

/** An entity: the class of a table's rows. */
export type EntityClass = new () => object;

/** What the JSON of a column is at its outermost. */
export type JsonShape = 'array' | 'object';

/**
 * Whose rows they are: of one review, so that they go with it; or of the installation. Of those of the installation some
 * come along in the package of a review: those that it names, or all.
 */
export type Owner = 'review' | 'installation' | 'named by reviews' | 'along with reviews';

/** @returns what is wrong with a value, to go on from its column: “… should be …”; null where nothing is */
export type ColumnCheck = (value: unknown) => string | null;

export interface TableDescription {
  name: string;
  /** what earlier versions of the tables called it, as packages of these still do */
  formerly: readonly string[];
  entity: EntityClass;
  owner: Owner;
  /** by column, the entity whose id it holds */
  refersTo: Record<string, () => EntityClass>;
  json: Record<string, JsonShape>;
  /** by column, what its value has to be beside its type; JSON is given as the value that it is */
  checks: Record<string, ColumnCheck>;
  /** columns that hold the id of a database */
  databases: string[];
}

const described = new Map<unknown, TableDescription>();

function descriptionFor(entity: unknown): TableDescription {
  let known = described.get(entity);
  if (known === undefined) {
    known = {
      name: '',
      formerly: [],
      entity: entity as EntityClass,
      owner: 'installation',
      refersTo: {},
      json: {},
      checks: {},
      databases: [],
    };
    described.set(entity, known);
  }
  return known;
}

/** @throws Error for a class that is no described table */
export function descriptionOf(entity: EntityClass): TableDescription {
  const known = described.get(entity);
  if (known === undefined || known.name === '') throw new Error(`${entity.name} is no table.`);
  return known;
}

/** A table, and whose rows they are. */
export const Table =
  (name: string, owner: Owner, { formerly = [] }: { formerly?: readonly string[] } = {}): ClassDecorator =>
  (entity) => {
    Object.assign(descriptionFor(entity), { name, owner, formerly });
    Entity({ name })(entity);
  };

const also =
  (
    column: PropertyDecorator,
    note: (description: TableDescription, name: string) => void,
  ): PropertyDecorator =>
  (target, property) => {
    column(target, property);
    note(descriptionFor(target.constructor), String(property));
  };

interface Options extends Pick<ColumnOptions, 'nullable' | 'default'> {
  /** what its value has to be beside its type */
  check?: ColumnCheck;
}

/** A column whose values are checked where rows come from elsewhere. */
const checked = ({ check, ...options }: Options, column: (options: ColumnOptions) => PropertyDecorator) =>
  also(column(options), ({ checks }, name) => {
    if (check !== undefined) checks[name] = check;
  });

/** The key of a row: an opaque string. */
export const Id = () => PrimaryColumn('varchar');
export const KeyText = () => PrimaryColumn('varchar');
export const KeyNumber = () => PrimaryColumn('integer');
/** Short text: names, kinds, dates as ISO 8601 in UTC. */
export const Short = (options: Options = {}) => checked(options, (rest) => Column('varchar', rest));
/** Text of any length. */
export const Text = (options: Options = {}) => checked(options, (rest) => Column('text', rest));
export const Whole = (options: Options = {}) => checked(options, (rest) => Column('integer', rest));
export const Flag = (options: Options = {}) => Column('boolean', options);
/** A version that the engine raises at every change. */
export const Version = () => VersionColumn();

/** The id of a row of another table. */
export const RefersTo = (entity: () => EntityClass, options: Options & { key?: boolean } = {}) =>
  also(options.key === true ? PrimaryColumn('varchar') : Column('varchar', options), ({ refersTo }, name) => {
    refersTo[name] = entity;
  });

/** The id of a database, which may be one that somebody added. */
export const DatabaseId = () =>
  also(Column('varchar'), ({ databases }, name) => {
    databases.push(name);
  });

/** A value kept as JSON: whoever reads the row gets the value. */
export const Json = (shape: JsonShape, options: Options = {}): PropertyDecorator => {
  return (target, property) => {
    const transformer = jsonTransformer(`${target.constructor.name}.${String(property)}`, shape);
    const column = checked(options, (rest) => Column('text', { ...rest, transformer }));
    also(column, ({ json }, name) => {
      json[name] = shape;
    })(target, property);
  };
};

/** JSON whose very text matters, since it is hashed, compared or handed on: whoever reads the row gets the text. */
export const JsonText = (shape: JsonShape, options: Options = {}) =>
  also(
    checked(options, (rest) => Column('text', rest)),
    ({ json }, name) => {
      json[name] = shape;
    },
  );

/** What is in a column cannot be what the program wrote there. */
export class UnreadableColumn extends Error {}

/** @returns what is wrong with the columns of a row, in a sentence; null where nothing is */
export function misfitIn(
  row: Readonly<Record<string, unknown>>,
  { json, checks }: Pick<TableDescription, 'json' | 'checks'>,
): string | null {
  for (const name of new Set([...Object.keys(json), ...Object.keys(checks)])) {
    const kept = row[name];
    if (kept === null || kept === undefined) continue;
    const shape = json[name];
    const read = shape === undefined ? { value: kept } : jsonIn(String(kept), shape);
    if ('trouble' in read) return `its ${name} cannot be read: ${read.trouble}.`;
    const wrong = checks[name]?.(read.value) ?? null;
    if (wrong !== null) return `its ${name} ${wrong}.`;
  }
  return null;
}

function jsonIn(text: string, shape: JsonShape): { value: unknown } | { trouble: string } {
  try {
    const value: unknown = JSON.parse(text);
    return hasShape(value, shape) ? { value } : { trouble: `it is no ${shape}` };
  } catch {
    return { trouble: 'it is no JSON' };
  }
}

function hasShape(value: unknown, shape: JsonShape): boolean {
  return shape === 'array'
    ? Array.isArray(value)
    : typeof value === 'object' && value !== null && !Array.isArray(value);
}

function jsonTransformer(column: string, shape: JsonShape): ValueTransformer {
  return {
    to: (value: unknown) => (value === null || value === undefined ? value : JSON.stringify(value)),
    from: (text: string | null | undefined) => {
      if (text === null || text === undefined) return text;
      try {
        const value: unknown = JSON.parse(text);
        if (hasShape(value, shape)) return value;
      } catch {
        // told below
      }
      throw new UnreadableColumn(`What is kept in ${column} cannot be read.`);
    },
  };
}
