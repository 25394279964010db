// Writes what the handlers of the API answer with as JSON Schema, from their types in TypeScript.
// `--check` says whether the file is what would be written, and writes nothing.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import prettier from 'prettier';
import ts from 'typescript';
import { begin } from './command.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const source = join(root, 'server', 'src');
const tsconfig = join(root, 'server', 'tsconfig.json');
const written = join(root, 'server', 'answers.schema.json');
const METHODS = /^(Get|Post|Put|Patch|Delete)$/;
/** Answers that are no JSON. */
const NO_JSON = /^(void|string|StreamableFile|Observable<.*>)$/;

const { values } = begin(
  `npm run answers              writes server/answers.schema.json from the types of the handlers
npm run answers -- --check   says whether it is up to date, and writes nothing`,
  { options: { check: { type: 'boolean' } } },
);
const text = await prettier.format(JSON.stringify(answers()), {
  ...(await prettier.resolveConfig(written)),
  parser: 'json',
});
if (values.check !== true) writeFileSync(written, text);
else if (readFileSync(written, 'utf8') !== text) {
  console.error('server/answers.schema.json is not what the handlers answer with. Run: npm run answers');
  process.exit(1);
}

/** By handler, such as ShelfController_put, the schema of its answer; and the types that those are made of, by name. */
function answers() {
  const files = readdirSync(source, { recursive: true })
    .filter((path) => path.endsWith('.ts') && !path.endsWith('.test.ts'))
    .map((path) => join(source, path))
    .filter((path) => readFileSync(path, 'utf8').includes('@Controller('))
    .sort();
  const { options } = ts.getParsedCommandLineOfConfigFile(tsconfig, {}, ts.sys);
  const program = ts.createProgram(files, { ...options, noEmit: true });
  const checker = program.getTypeChecker();
  const schemas = schemasOf(checker);
  const handlers = {};
  for (const file of files) {
    ts.forEachChild(program.getSourceFile(file), (node) => {
      if (!ts.isClassDeclaration(node)) return;
      for (const member of node.members) {
        if (!ts.isMethodDeclaration(member)) continue;
        const decorators = ts.getDecorators(member) ?? [];
        const names = decorators.map(({ expression }) => expression.expression?.getText() ?? '');
        if (!names.some((name) => METHODS.test(name))) continue;
        const signature = checker.getSignatureFromDeclaration(member);
        const type = checker.getAwaitedType(checker.getReturnTypeOfSignature(signature));
        if (NO_JSON.test(checker.typeToString(type))) continue;
        handlers[`${node.name.text}_${member.name.text}`] = schemas.of(type);
      }
    });
  }
  return { handlers: sorted(handlers), types: sorted(schemas.types) };
}

/** Writes types as JSON Schema (draft 2020-12): what the checker of TypeScript knows of them. */
function schemasOf(checker) {
  const types = {};
  const { TypeFlags: Is } = ts;

  const of = (type) => {
    const name = nameOf(type);
    if (name === null) return inPlace(type);
    if (!(name in types)) {
      // First, since it may be part of itself.
      types[name] = {};
      types[name] = { ...described(type.aliasSymbol ?? type.symbol), ...inPlace(type) };
    }
    return { $ref: `#/components/schemas/${name}` };
  };

  /** What a type is called, where it is one of ours; with what it is made of, where that is told. */
  const nameOf = (type) => {
    const symbol =
      type.aliasSymbol ??
      (type.isClassOrInterface() || type.target?.isClassOrInterface() ? type.symbol : null);
    const file = symbol?.declarations?.[0]?.getSourceFile().fileName ?? '';
    if (symbol == null || /\/node_modules\/(?!@even-lantern)/.test(file)) return null;
    if ((type.flags & (Is.Object | Is.Union | Is.Intersection)) === 0) return null;
    return checker
      .typeToString(type, undefined, ts.TypeFormatFlags.NoTruncation)
      .replace(/\W+/g, '_')
      .replace(/_$/, '');
  };

  const inPlace = (type) => {
    if (type.flags & (Is.Any | Is.Unknown)) return {};
    if (type.isStringLiteral() || type.isNumberLiteral()) return { const: type.value };
    if (type.flags & Is.BooleanLiteral) return { const: checker.typeToString(type) === 'true' };
    if (type.flags & Is.StringLike) return { type: 'string' };
    if (type.flags & Is.NumberLike) return { type: 'number' };
    if (type.flags & Is.BooleanLike) return { type: 'boolean' };
    if (type.flags & Is.Null) return { type: 'null' };
    if (type.isUnion()) return oneOf(type.types.filter(({ flags }) => !(flags & Is.Undefined)));
    if (checker.isTupleType(type)) {
      return { type: 'array', prefixItems: checker.getTypeArguments(type).map(of), items: false };
    }
    if (checker.isArrayType(type)) return { type: 'array', items: of(checker.getTypeArguments(type)[0]) };
    return object(type);
  };

  const oneOf = (members) => {
    const texts = members
      .filter((each) => each.isStringLiteral())
      .map(({ value }) => value)
      .sort();
    const truths = members.filter(({ flags }) => flags & Is.BooleanLiteral);
    const others = members.filter(
      (each) => !each.isStringLiteral() && !(truths.length > 1 && truths.includes(each)),
    );
    const ways = [
      ...(texts.length === 0 ? [] : [{ type: 'string', enum: texts }]),
      ...(truths.length > 1 ? [{ type: 'boolean' }] : []),
      ...others.map(of),
    ];
    return ways.length === 1 ? ways[0] : { anyOf: ways };
  };

  const object = (type) => {
    const properties = checker
      .getPropertiesOfType(type)
      .filter((each) => checker.getTypeOfSymbol(each).getCallSignatures().length === 0);
    const required = properties
      .filter(({ flags }) => !(flags & ts.SymbolFlags.Optional))
      .map(({ name }) => name);
    const [index] = checker.getIndexInfosOfType(type);
    return {
      type: 'object',
      ...(properties.length === 0
        ? {}
        : {
            properties: Object.fromEntries(
              properties.map((each) => [
                each.name,
                { ...described(each), ...of(checker.getTypeOfSymbol(each)) },
              ]),
            ),
          }),
      ...(required.length === 0 ? {} : { required: required.sort() }),
      ...(index === undefined ? {} : { additionalProperties: of(index.type) }),
    };
  };

  const described = (symbol) => {
    const text = ts.displayPartsToString(symbol?.getDocumentationComment(checker) ?? []);
    return text === '' ? {} : { description: text.replace(/\s+/g, ' ') };
  };

  return { of, types };
}

function sorted(object) {
  return Object.fromEntries(Object.entries(object).sort(([a], [b]) => (a < b ? -1 : 1)));
}
