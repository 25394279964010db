import {
  createParamDecorator,
  type ArgumentMetadata,
  type ExecutionContext,
  type PipeTransform,
} from '@nestjs/common';
import type { Request } from 'express';
import type { ObjectSchema } from 'joi';
import { badInput, versionMissing } from './problem.js';

/** Checks input against a schema of the contract. Unknown keys are refused. */
export class Validated<T> implements PipeTransform<unknown, T> {
  constructor(readonly schema: ObjectSchema<T>) {}

  transform(value: unknown, _metadata: ArgumentMetadata): T {
    const input = value ?? {};
    const beyond = beyondBounds(input);
    if (beyond !== null) throw badInput([{ path: beyond.path, message: beyond.message }]);
    const errors = { wrap: { label: false } } as const;
    const first = this.schema.validate(input, { abortEarly: true, errors });
    if (first.error === undefined) return first.value;
    // Of a short input everything is told that is wrong; of a long one the first thing, since there may be no end of it.
    const result =
      nodesIn(input, FEW) > FEW ? first : this.schema.validate(input, { abortEarly: false, errors });
    if (result.error === undefined) return result.value;
    throw badInput(result.error.details.map(({ path, message }) => ({ path: path.join('.'), message })));
  }
}

const DEEPEST = 40;
const MOST_NODES = 500_000;
const FEW = 2000;

/** Input that is too deep or too long to be anything that is meant, found before it is looked at more closely. */
function beyondBounds(input: unknown): { path: string; message: string } | null {
  let level: unknown[] = [input];
  let nodes = 0;
  for (let depth = 0; level.length > 0; depth += 1) {
    nodes += level.length;
    if (depth > DEEPEST) return { path: '', message: `The input is nested more than ${DEEPEST} deep.` };
    if (nodes > MOST_NODES) return { path: '', message: `The input has more than ${MOST_NODES} values.` };
    level = childrenOf(level);
  }
  return null;
}

function childrenOf(level: readonly unknown[]): unknown[] {
  const next: unknown[] = [];
  for (const each of level) {
    if (typeof each !== 'object' || each === null) continue;
    for (const child of Object.values(each)) next.push(child);
  }
  return next;
}

/** How many values an input holds, counted no further than `most`. */
function nodesIn(input: unknown, most: number): number {
  let nodes = 0;
  for (let level: unknown[] = [input]; level.length > 0 && nodes <= most; level = childrenOf(level)) {
    nodes += level.length;
  }
  return nodes;
}

/** The version that a change was made on, from If-Match. */
export class MatchedVersion implements PipeTransform<string | undefined, number> {
  transform(value: string | undefined): number {
    const match = /^"?(\d{1,15})"?$/.exec(value ?? '');
    if (match !== null) return Number(match[1]);
    if (value === undefined || value === '') throw versionMissing();
    throw badInput([{ path: 'If-Match', message: 'If-Match is no version: send the number that was read.' }]);
  }
}

const IfMatchHeader = createParamDecorator(
  (_: unknown, context: ExecutionContext) => context.switchToHttp().getRequest<Request>().headers['if-match'],
);

/** The version that a change was made on, as a parameter of a controller's method. */
export const IfMatch = () => IfMatchHeader(new MatchedVersion());
export const VERSION_HEADER = { name: 'If-Match', description: 'the version that the change was made on' };
