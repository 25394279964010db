import { createHash, randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { Injectable } from '@nestjs/common';
import {
  formatCount,
  recordsDigest,
  type BibRecord,
  type LedgerEntry,
  type NewContent,
} from '@even-lantern/core';
import {
  MOST_RECORDS_ELSEWHERE,
  type Person,
  type SearchElsewhere,
  type WaitingFile,
  type WaitingFileQuery,
} from '@even-lantern/contract';
import type { EntityManager } from 'typeorm';
import { APPLICATION_VERSION } from '../http/version.js';
import { WaitingFiles } from '../files/waitingFiles.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { digestOfText, foundDigests } from '../records/foundDigests.js';
import { keepRecords } from '../records/keepRecords.js';
import { ElsewhereSearchRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { LedgerService } from '../ledger/ledgerService.js';

const AT_A_TIME = 100;
const TOO_MANY =
  `A search made elsewhere takes up to ${formatCount(MOST_RECORDS_ELSEWHERE)} records. ` +
  'Split the file, or add the place as a database that is asked by hand: it takes any number.';

/** Searches that no database answered, as people tell of them, with the records that they brought. */
@Injectable()
export class ElsewhereService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly ledger: LedgerService,
    private readonly waiting: WaitingFiles,
  ) {}

  /** Reads the file of records that a search brought, so that it can be entered with it. */
  async read(reviewId: string, source: Readable, query: WaitingFileQuery): Promise<WaitingFile> {
    await this.reviews.expect(reviewId);
    return this.waiting.read(reviewId, source, query, MOST_RECORDS_ELSEWHERE, TOO_MANY);
  }

  /** Enters a search; what its file holds comes into the review in the same change. */
  enter(reviewId: string, search: SearchElsewhere, person: Person): Promise<LedgerEntry> {
    const { file: id = null, ...told } = search;
    const content = (file: (NewContent & { kind: 'elsewhere' })['file']): NewContent => ({
      ...told,
      kind: 'elsewhere',
      file,
      by: person.name,
      at: new Date().toISOString(),
      applicationVersion: APPLICATION_VERSION,
    });
    if (id === null) {
      return this.store.write(async (manager) => {
        await this.reviews.expect(reviewId, manager);
        return this.ledger.append(manager, reviewId, {}, content(null));
      });
    }
    return this.waiting.use(reviewId, id, ({ name, bytes, sha256, records, troubles }, found) =>
      this.store.write(async (manager) => {
        await this.reviews.expect(reviewId, manager);
        const made = searchRow(reviewId, search, found.length, person);
        await manager.insert(ElsewhereSearchRow, { ...made, remarks: troubles.map((each) => each.message) });
        await keepAll(manager, made, found);
        return this.ledger.append(
          manager,
          reviewId,
          { searchId: made.id },
          content({
            name,
            bytes,
            sha256,
            records,
            recordsDigest: recordsDigest(await foundDigests(manager, { searchId: made.id }), digestOfText),
          }),
        );
      }),
    );
  }
}

/** The records of one place are known by their numbers there, as those of a database are. */
function searchRow(
  reviewId: string,
  { way, place }: SearchElsewhere,
  records: number,
  person: Person,
): ElsewhereSearchRow {
  const source = createHash('sha256').update(`${way}\n${place}`).digest('hex').slice(0, 16);
  return {
    id: randomUUID(),
    reviewId,
    source: `elsewhere-${source}`,
    name: `${way[0]?.toUpperCase()}${way.slice(1)}: ${place}`,
    enteredAt: new Date().toISOString(),
    enteredBy: person.id,
    records,
    remarks: [],
  };
}

async function keepAll(
  manager: EntityManager,
  { id, reviewId, source: database }: ElsewhereSearchRow,
  found: readonly BibRecord[],
): Promise<void> {
  for (let i = 0; i < found.length; i += AT_A_TIME) {
    const batch = found.slice(i, i + AT_A_TIME);
    await keepRecords(
      manager,
      { kind: 'search', id, reviewId, database },
      batch.map((record, k) => ({ record, rank: i + k + 1 })),
    );
    // Whoever reads is answered meanwhile.
    await othersFirst();
  }
}
