import { createHash, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  LEDGER_FORM,
  canonicalJson,
  ledgerVerifier,
  readSeal,
  sealEntry,
  textKey,
  verificationText,
  type AboutLedger,
  type EntryReference,
  type LedgerContent,
  type LedgerEntry,
  type LedgerForm,
  type LedgerVerifier,
  type KeptEntry,
  type NewContent,
  type Seal,
} from '@even-lantern/core';
import type {
  LedgerCorrection,
  LedgerEntryDetail,
  LedgerNote,
  LedgerPage,
  LedgerQuery,
  LedgerSummary,
  LedgerVerified,
  Person,
} from '@even-lantern/contract';
import { In, LessThan, Like, type EntityManager, type FindOptionsWhere } from 'typeorm';
import { badInput, notFound } from '../http/problem.js';
import { APPLICATION_VERSION } from '../http/version.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { LedgerEntryRow, RunRow, StrategyVersionRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { keptEntries, ledgerTexts, presentSeal } from './ledgerRows.js';
import { listedOf } from './ledgerSummary.js';

const PAGE = 50;
/** Entries that are read at a time where all of them are gone through. */
const AT_A_TIME = 500;

/** A ledger of no more entries is verified whole whenever it is looked at; a longer one now and then. */
const SHORT = 500;
const WHOLE_EVERY_MS = 60_000;

/** How far a ledger has been verified in this process. */
interface Verified {
  seal: Seal;
  brokenAt: number | null;
  /** when all of it was verified */
  wholeAt: number;
}

const NOTHING: Verified = { seal: { entries: 0, hash: null }, brokenAt: null, wholeAt: -Infinity };

/** The append-only ledger. There is no way here to change or delete an entry. */
@Injectable()
export class LedgerService {
  /** by review; what comes later is verified behind it */
  private readonly verified = new Map<string, Verified>();

  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
  ) {}

  /** The ledger in one of its forms, in parts. */
  async *texts(review: AboutLedger['review'], form: LedgerForm): AsyncGenerator<string> {
    const seal = await presentSeal(this.store.read, review.id);
    yield* ledgerTexts(this.store.read, form, { review, exportedAt: new Date().toISOString(), seal });
  }

  /** What stands at the end, and whether all before it fits. */
  async standing(reviewId: string): Promise<Verified> {
    const before = this.verified.get(reviewId);
    const whole =
      before === undefined ||
      before.brokenAt !== null ||
      before.seal.entries <= SHORT ||
      performance.now() - before.wholeAt > WHOLE_EVERY_MS;
    const from = whole ? NOTHING : before;
    const verifier = ledgerVerifier(null, sha256, from.seal);
    await this.forEachKept(reviewId, from.seal.entries, (entry) => verifier.takeKept(entry));
    return this.remember(reviewId, verifier, whole ? performance.now() : from.wholeAt);
  }

  /** Goes through all entries again. @param kept a seal as somebody copied it; empty for none */
  async verify(reviewId: string, kept: string): Promise<LedgerVerified> {
    await this.reviews.expect(reviewId);
    const read = kept.trim() === '' ? null : readSeal(kept);
    if (read?.ok === false) throw badInput([{ path: 'seal', message: read.message }]);
    const verifier = ledgerVerifier(read?.seal ?? null, sha256);
    await this.forEachKept(reviewId, 0, (entry) => verifier.takeKept(entry));
    const result = verifier.end();
    this.remember(reviewId, verifier, performance.now());
    const ok = result.broken === null && result.fit !== 'cut' && result.fit !== 'other';
    return {
      seal: result.seal,
      ok,
      brokenAt: result.broken?.entry ?? null,
      message: verificationText(result),
    };
  }

  /** The latest entries under a filter, a page at a time. */
  async page(
    reviewId: string,
    { before, limit = PAGE, search = '', kind, database, outcome }: LedgerQuery,
  ): Promise<LedgerPage> {
    await this.reviews.expect(reviewId);
    const words = textKey(search.trim());
    const where: FindOptionsWhere<LedgerEntryRow> = {
      reviewId,
      ...(kind === undefined ? {} : { kind }),
      ...(database === undefined ? {} : { database }),
      ...(outcome === undefined ? {} : { outcome }),
      ...(words === '' ? {} : { words: Like(`%${words.replace(/[%_]/g, '_')}%`) }),
    };
    const { read } = this.store;
    const matching = await read.countBy(LedgerEntryRow, where);
    const rows = await read.find(LedgerEntryRow, {
      where: { ...where, ...(before === undefined ? {} : { entry: LessThan(before) }) },
      order: { entry: 'DESC' },
      take: limit,
      select: { entry: true, summary: true, hash: true },
    });
    return { entries: await this.listed(reviewId, rows), matching };
  }

  /** The latest run that was logged. */
  async lastRun(reviewId: string): Promise<LedgerSummary | null> {
    const rows = await this.store.read.find(LedgerEntryRow, {
      where: { reviewId, kind: 'run' },
      order: { entry: 'DESC' },
      take: 1,
      select: { entry: true, summary: true, hash: true },
    });
    return (await this.listed(reviewId, rows))[0] ?? null;
  }

  async detail(reviewId: string, number: number): Promise<LedgerEntryDetail> {
    await this.reviews.expect(reviewId);
    const row = await this.expectRow(this.store.read, reviewId, number);
    const entry = entryOf(row);
    const about = await this.store.read.find(LedgerEntryRow, {
      where: { reviewId, about: number },
      order: { entry: 'ASC' },
    });
    const { content } = entry;
    const version = 'version' in content ? (content.version ?? null) : null;
    const kept =
      version === null
        ? null
        : await this.store.read.findOneBy(StrategyVersionRow, { reviewId, digest: version.digest });
    return {
      entry,
      about: about.filter(({ kind }) => kind !== 'run').map(entryOf),
      repeatedBy: about.filter(({ kind }) => kind === 'run').map((each) => each.entry),
      runId: row.runId,
      versionId: kept?.id ?? null,
    };
  }

  note(reviewId: string, { about, text, timeZone }: LedgerNote, person: Person): Promise<LedgerEntry> {
    return this.tell(reviewId, about, person, (stamp) => ({ ...stamp, kind: 'note', text, timeZone }));
  }

  correct(
    reviewId: string,
    { about, what, was, is, text, timeZone }: LedgerCorrection,
    person: Person,
  ): Promise<LedgerEntry> {
    return this.tell(reviewId, about, person, (stamp) => ({
      ...stamp,
      kind: 'correction',
      what,
      was,
      is,
      text,
      timeZone,
    }));
  }

  /**
   * Appends an entry inside a transaction; the store refuses a second entry for the same run or search.
   * @param of the run, or the search made elsewhere, that it tells of; neither for what brought no records
   */
  async append(
    manager: EntityManager,
    reviewId: string,
    { runId, searchId }: { runId?: string; searchId?: string },
    content: NewContent,
  ): Promise<LedgerEntry> {
    const [last] = await manager.find(LedgerEntryRow, {
      where: { reviewId },
      order: { entry: 'DESC' },
      take: 1,
      select: { entry: true, hash: true },
    });
    const number = (last?.entry ?? 0) + 1;
    const entry = sealEntry<LedgerContent>(
      { entry: number, form: LEDGER_FORM, ...content },
      last?.hash ?? null,
    );
    await manager.insert(LedgerEntryRow, {
      id: randomUUID(),
      reviewId,
      runId: runId ?? null,
      searchId: searchId ?? null,
      entry: number,
      ...listedOf(entry.content),
      content: canonicalJson(entry.content),
      previousHash: entry.previousHash,
      hash: entry.hash,
    });
    return entry;
  }

  /** An entry of a review by its number. */
  async entry(manager: EntityManager, reviewId: string, number: number): Promise<LedgerEntry> {
    return entryOf(await this.expectRow(manager, reviewId, number));
  }

  private tell(
    reviewId: string,
    about: number,
    person: Person,
    content: (stamp: {
      about: EntryReference;
      by: string;
      at: string;
      applicationVersion: string;
    }) => NewContent,
  ): Promise<LedgerEntry> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const { hash } = await this.expectRow(manager, reviewId, about);
      const stamp = {
        by: person.name,
        at: new Date().toISOString(),
        applicationVersion: APPLICATION_VERSION,
      };
      return this.append(manager, reviewId, {}, content({ about: { entry: about, hash }, ...stamp }));
    });
  }

  private async expectRow(manager: EntityManager, reviewId: string, entry: number): Promise<LedgerEntryRow> {
    const row = await manager.findOneBy(LedgerEntryRow, { reviewId, entry });
    if (row === null) throw notFound(`Entry ${entry} of this ledger`);
    return row;
  }

  private async listed(
    reviewId: string,
    rows: readonly Pick<LedgerEntryRow, 'entry' | 'summary' | 'hash'>[],
  ): Promise<LedgerSummary[]> {
    const about = await this.store.read.find(LedgerEntryRow, {
      where: { reviewId, about: In(rows.map(({ entry }) => entry)), kind: In(['note', 'correction']) },
      select: { about: true },
    });
    const notes = new Map<number | null, number>();
    for (const each of about) notes.set(each.about, (notes.get(each.about) ?? 0) + 1);
    return rows.map(({ entry, summary, hash }) => ({
      ...summary,
      entry,
      hash,
      notes: notes.get(entry) ?? 0,
    }));
  }

  private remember(reviewId: string, verifier: LedgerVerifier, wholeAt: number): Verified {
    const { seal, broken } = verifier.end();
    const verified = { seal, brokenAt: broken?.entry ?? null, wholeAt };
    this.verified.set(reviewId, verified);
    return verified;
  }

  /** So many at a time, so that others are answered meanwhile. @param after the number of the last that is passed over */
  private async forEachKept(
    reviewId: string,
    after: number,
    visit: (entry: KeptEntry) => void,
  ): Promise<void> {
    for await (const rows of keptEntries(this.store.read, reviewId, after, AT_A_TIME)) rows.forEach(visit);
  }
}

/** The run of an entry; null for what is no run of a database. */
export async function runOfEntry(
  manager: EntityManager,
  reviewId: string,
  entry: number,
): Promise<RunRow | null> {
  const row = await manager.findOneBy(LedgerEntryRow, { reviewId, entry, kind: 'run' });
  return row?.runId == null ? null : manager.findOneBy(RunRow, { id: row.runId });
}

function entryOf({
  content,
  previousHash,
  hash,
}: Pick<LedgerEntryRow, 'content' | 'previousHash' | 'hash'>): LedgerEntry {
  return { content: JSON.parse(content) as LedgerContent, previousHash, hash };
}

function sha256(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}
