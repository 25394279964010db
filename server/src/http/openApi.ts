import type { ApiBodyOptions } from '@nestjs/swagger';
import type { ObjectSchema } from 'joi';

/** The OpenAPI description of a body, from the schema that checks it. */
export function bodyOf(schema: ObjectSchema): ApiBodyOptions {
  const described = schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' });
  return { schema: described } as ApiBodyOptions;
}
