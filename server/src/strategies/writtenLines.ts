import type { LineText } from '@even-lantern/core';
import type { EntityManager } from 'typeorm';
import { LineTextRow } from '../store/entities.js';

/** What is written by hand for a review now, in the order of databases and lines. */
export async function writtenLines(
  manager: EntityManager,
  reviewId: string,
): Promise<(LineText & { database: string })[]> {
  const rows = await manager.find(LineTextRow, {
    where: { reviewId, latest: true },
    order: { database: 'ASC', line: 'ASC' },
  });
  return rows.flatMap(({ database, line, language, text, refersTo }) =>
    text === null
      ? []
      : [
          {
            database,
            line,
            language: language === 'cql' ? ('cql' as const) : ('own' as const),
            text,
            refersTo,
          },
        ],
  );
}
