/** Which records a run or a search made elsewhere found, and the digest of what each said. */
import { createHash } from 'node:crypto';
import { setImmediate as othersFirst } from 'node:timers/promises';
import type { FoundDigest } from '@even-lantern/core';
import type { EntityManager } from 'typeorm';
import { ElsewhereRecordRow, RunRecordRow } from '../store/entities.js';

const AT_A_TIME = 2000;

/** As core has it, several times as fast. */
export function digestOfText(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}

/** In the order of their accession numbers. A digest that was not kept is empty. */
export async function foundDigests(
  manager: EntityManager,
  source: { runId: string } | { searchId: string },
): Promise<FoundDigest[]> {
  const [entity, column, id] =
    'runId' in source
      ? ([RunRecordRow, 'runId', source.runId] as const)
      : ([ElsewhereRecordRow, 'searchId', source.searchId] as const);
  const found: FoundDigest[] = [];
  for (let last = ''; ;) {
    const rows = await manager
      .createQueryBuilder<RunRecordRow | ElsewhereRecordRow>(entity, 'found')
      .select(['found.accession AS accession', 'found.digest AS digest'])
      .where(`found.${column} = :id AND found.accession > :last`, { id, last })
      .orderBy('found.accession', 'ASC')
      .limit(AT_A_TIME)
      .getRawMany<{ accession: string; digest: string | null }>();
    for (const { accession, digest } of rows) found.push({ accession, digest: digest ?? '' });
    const end = rows.at(-1);
    if (end === undefined || rows.length < AT_A_TIME) return found;
    last = end.accession;
    await othersFirst();
  }
}
