import type { ArgumentMetadata, PipeTransform } from '@nestjs/common';
import type { ObjectSchema } from 'joi';
import { badInput, versionMissing } from './problem.js';

/** Checks input against a schema of the contract. Unknown keys are refused. */
export class Validated<T> implements PipeTransform<unknown, T> {
  constructor(private readonly schema: ObjectSchema<T>) {}

  transform(value: unknown, _metadata: ArgumentMetadata): T {
    const result = this.schema.validate(value ?? {}, {
      abortEarly: false,
      errors: { wrap: { label: false } },
    });
    if (result.error === undefined) return result.value;
    throw badInput(result.error.details.map(({ path, message }) => ({ path: path.join('.'), message })));
  }
}

/** The version that a change was made on, from If-Match. */
export class MatchedVersion implements PipeTransform<string | undefined, number> {
  transform(value: string | undefined): number {
    const match = /^"?(\d+)"?$/.exec(value ?? '');
    if (match === null) throw versionMissing();
    return Number(match[1]);
  }
}
