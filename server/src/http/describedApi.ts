/**
 * The description of the whole API as OpenAPI 3.1: what the decorators of handlers do not say themselves comes from what
 * handles a request anyway (the schemas that check its parameters, who acts, the version that a change is made on), and
 * from the types of the answers.
 */
import { HEADERS_METADATA, ROUTE_ARGS_METADATA } from '@nestjs/common/constants.js';
import type { OpenAPIObject } from '@nestjs/swagger';
import { PERSON_HEADER } from '@even-lantern/contract';
import { MatchedVersion, Validated } from './validated.js';

/** A class of handlers. */
export type ControllerClass = abstract new (...given: never[]) => object;

/** As `npm run answers` writes it. */
export interface Answers {
  /** schemas by handler, such as `ShelfController_put` */
  handlers: Readonly<Record<string, Schema>>;
  types: Readonly<Record<string, Schema>>;
}

type Schema = Readonly<Record<string, unknown>>;
type Operation = Record<string, unknown> & {
  operationId?: string;
  parameters?: Parameter[];
  responses: Record<string, Record<string, unknown>>;
};

interface Parameter {
  name: string;
  in: string;
  required?: boolean;
  schema?: Schema;
  description?: string;
}

/** How the framework notes what a parameter of a handler is filled from. */
const QUERY = 4;
interface RouteArgument {
  data?: unknown;
  pipes: readonly unknown[];
}

const PERSON = 'person';
const JSON_TYPE = 'application/json';
const PROBLEM_REF = { $ref: '#/components/responses/Problem' };
const METHODS = ['get', 'post', 'put', 'patch', 'delete'] as const;

/**
 * @param document as the framework makes it from decorators
 * @param personPipe what finds out who acts, where a handler asks for it
 */
export function describedApi(
  document: OpenAPIObject,
  controllers: readonly ControllerClass[],
  personPipe: unknown,
  answers: Answers,
): OpenAPIObject {
  const classes = new Map(controllers.map((each) => [each.name, each]));
  for (const [path, item] of Object.entries(document.paths)) {
    for (const method of METHODS) {
      const operation = item[method] as Operation | undefined;
      if (operation?.operationId === undefined) continue;
      const [className = '', handler = ''] = operation.operationId.split('_');
      const controller = classes.get(className);
      if (controller === undefined) continue;
      const route = argumentsOf(controller, handler);
      const query = route.filter(({ from }) => from === QUERY).flatMap(queryParameters);
      const asks = (pipe: (each: unknown) => boolean) => route.some(({ pipes }) => pipes.some(pipe));
      const acts = asks((each) => each === personPipe);
      const matches = asks((each) => each instanceof MatchedVersion);
      const named = (operation.parameters ?? []).filter(
        (each) => each.in !== 'query' && each.name !== 'If-Match',
      );
      operation.parameters = [...named, ...query, ...(matches ? [IF_MATCH] : [])];
      if (acts) operation['security'] = [{ [PERSON]: [] }];
      describeAnswer(operation, headerOf(controller, handler), answers.handlers[operation.operationId]);
      const problems = [
        ...(operation.parameters.length > 0 || 'requestBody' in operation ? ['400'] : []),
        ...(acts ? ['401'] : []),
        ...(path.includes('{') ? ['404'] : []),
        ...(matches ? ['412', '428'] : []),
        'default',
      ];
      for (const status of problems) operation.responses[status] ??= PROBLEM_REF;
    }
  }
  const components = (document.components ??= {});
  return {
    ...document,
    openapi: '3.1.0',
    servers: [{ url: '/' }],
    components: {
      ...components,
      schemas: { ...components.schemas, ...answers.types, Problem: PROBLEM } as never,
      responses: { Problem: PROBLEM_RESPONSE } as never,
      securitySchemes: {
        [PERSON]: {
          type: 'apiKey',
          in: 'header',
          name: PERSON_HEADER,
          description: 'The id of the person who acts, as GET /api/people tells it.',
        },
      },
    },
  };
}

const IF_MATCH: Parameter = {
  name: 'If-Match',
  in: 'header',
  required: true,
  description: 'The version that the change was made on, as it was read.',
  schema: { type: 'string', pattern: '^"?[0-9]{1,15}"?$' },
};

const PROBLEM: Schema = {
  type: 'object',
  description: 'What went wrong, as problem details (RFC 9457).',
  properties: {
    type: { type: 'string' },
    title: { type: 'string', description: 'what happened, for people' },
    status: { type: 'integer' },
    detail: { type: 'string', description: 'what to do about it' },
    current: { description: 'the present state, where somebody else changed it' },
    errors: {
      type: 'array',
      description: 'each thing that is wrong with the input, with its place',
      items: {
        type: 'object',
        properties: { path: { type: 'string' }, message: { type: 'string' } },
        required: ['path', 'message'],
      },
    },
  },
  required: ['type', 'title', 'status'],
};

const PROBLEM_RESPONSE = {
  description: 'The request could not be carried out. Nothing was changed.',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
};

function argumentsOf(controller: ControllerClass, handler: string): (RouteArgument & { from: number })[] {
  const noted = Reflect.getMetadata(ROUTE_ARGS_METADATA, controller, handler) as
    Record<string, RouteArgument> | undefined;
  return Object.entries(noted ?? {}).map(([key, argument]) => ({
    ...argument,
    from: Number(key.split(':')[0]),
  }));
}

/** Parameters behind the question mark: one by its name, or those of a schema. */
function queryParameters({ data, pipes }: RouteArgument): Parameter[] {
  if (typeof data === 'string')
    return [{ name: data, in: 'query', required: false, schema: { type: 'string' } }];
  const checked = pipes.find((each) => each instanceof Validated);
  if (checked === undefined) return [];
  const { properties = {}, required = [] } = checked.schema['~standard'].jsonSchema.input({
    target: 'draft-2020-12',
  }) as { properties?: Record<string, Schema>; required?: string[] };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
}

/** The media type that a handler says its answer has. */
function headerOf(controller: ControllerClass, handler: string): string | null {
  const method = (controller.prototype as Record<string, object | undefined>)[handler];
  const headers =
    method === undefined
      ? undefined
      : (Reflect.getMetadata(HEADERS_METADATA, method) as { name: string; value: unknown }[] | undefined);
  const type = headers?.find(({ name }) => name.toLowerCase() === 'content-type')?.value;
  return typeof type === 'string' ? type.replace(/;.*/, '') : null;
}

function describeAnswer(
  { responses }: Operation,
  mediaType: string | null,
  schema: Schema | undefined,
): void {
  const [status = '200'] = Object.keys(responses).filter((each) => /^2/.test(each));
  const response = (responses[status] ??= { description: '' });
  if (response['description'] === '') response['description'] = status === '204' ? 'Done.' : 'The answer.';
  if (status === '204') return;
  if (schema !== undefined) response['content'] = { [mediaType ?? JSON_TYPE]: { schema } };
  else if (mediaType !== null) response['content'] = { [mediaType]: { schema: { type: 'string' } } };
  else response['content'] ??= { '*/*': { schema: { type: 'string', format: 'binary' } } };
}
