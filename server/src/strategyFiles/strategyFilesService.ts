import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  keysWith,
  laneKey,
  limitKey,
  ownKey,
  sameTerm,
  strategyToDocument,
  termKey,
  textWithKeys,
  WHOLE_LINE,
  type LineKey,
  type SheetOfDatabase,
  type StrategyDocument,
} from '@even-lantern/core';
import type { Person, StrategyRead } from '@even-lantern/contract';
import { IsNull, type EntityManager } from 'typeorm';
import { ProblemException } from '../http/problem.js';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { DatabasesService } from '../databases/databasesService.js';
import { LimitsService } from '../limits/limitsService.js';
import { OwnLinesService } from '../ownLines/ownLinesService.js';
import { writtenLines } from '../strategies/writtenLines.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { newTerm } from '../lanes/termSteps.js';
import { LineTextRow, OwnLineRow, TermRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { TranslationService } from '../translation/translationService.js';
import { laneForDocument } from './laneForDocument.js';
import { LaneFilesService } from './laneFilesService.js';

/** Strategies as files, out and in. */
@Injectable()
export class StrategyFilesService {
  constructor(
    private readonly store: Store,
    private readonly reviews: ReviewsService,
    private readonly laneFiles: LaneFilesService,
    private readonly databases: DatabasesService,
    private readonly translations: TranslationService,
    private readonly limits: LimitsService,
    private readonly ownLines: OwnLinesService,
  ) {}

  /** The whole strategy, as it is written once for all databases. */
  async document(reviewId: string): Promise<StrategyDocument> {
    const { review, lanes } = await this.laneFiles.lanes(reviewId);
    return strategyToDocument({
      title: review.title,
      lanes,
      ownLines: review.ownLines,
      limits: review.limits,
      written: await writtenLines(this.store.read, reviewId),
    });
  }

  /** The sheets of all databases, or of one; one that does not answer says why. */
  async sheets(reviewId: string, only?: string): Promise<{ title: string; sheets: SheetOfDatabase[] }> {
    const { title, ownLines } = await this.reviews.get(reviewId);
    const { order, databases, failed } = await this.databases.list();
    const sheets = await Promise.all(
      (only === undefined ? order : [only]).map(async (id): Promise<SheetOfDatabase> => {
        const name = [...databases, ...failed].find((each) => each.id === id)?.name ?? id;
        try {
          const { databaseName, release, lines } = await this.translations.translate(reviewId, id);
          return {
            database: databaseName,
            release,
            trouble: lines.length === 0 ? 'There is nothing to search yet.' : null,
            lines: lines.map(({ number, kind, description, text, hits, ownId }) => {
              const own = ownLines.find((line) => line.id === ownId);
              return {
                number,
                kind,
                description,
                text,
                hits,
                role: own?.role ?? null,
                note: own?.note ?? '',
              };
            }),
          };
        } catch (error) {
          // One that is away does not keep the others out of a file; asked for alone, it is told.
          if (only !== undefined) throw error;
          if (error instanceof ProblemException) {
            return { database: name, release: '', trouble: error.problem.title, lines: [] };
          }
          if (error instanceof DatabaseError) {
            return { database: name, release: '', trouble: error.message, lines: [] };
          }
          throw error;
        }
      }),
    );
    return { title, sheets };
  }

  /** Adds what a file holds to a strategy: terms that are there already stay as they are; all of it, or nothing. */
  read(reviewId: string, document: StrategyDocument, person: Person): Promise<StrategyRead> {
    return this.store.write(async (manager) => {
      await this.reviews.expect(reviewId, manager);
      const keys = new Map<LineKey, LineKey>([[WHOLE_LINE, WHOLE_LINE]]);
      const { terms, present } = await readLanes(manager, reviewId, document, person, keys);
      const lines = document.ownLines.map(({ role, note }) => ({ role, note, text: '' }));
      const added =
        lines.length === 0
          ? []
          : await this.ownLines.addIn(manager, reviewId, { lines, before: null }, person);
      added.forEach(({ id }, i) => keys.set(ownKey(String(i + 1)), ownKey(id)));
      const limits =
        document.limits.length === 0
          ? []
          : await this.limits.addIn(manager, reviewId, document.limits, person);
      limits.forEach(({ id }, i) => keys.set(limitKey(String(i + 1)), limitKey(id)));
      const keyFor = (key: LineKey) => keys.get(key) ?? null;
      for (const [i, { text, on }] of document.ownLines.entries()) {
        // Only now are all lines there that they may refer to.
        const id = added[i]?.id ?? '';
        await manager.update(OwnLineRow, { id }, { text: textWithKeys(text, keyFor), on });
      }
      const written = await readWritten(manager, reviewId, document, person, keyFor);
      return { terms, present, ownLines: added.length, limits: limits.length, written };
    });
  }
}

async function readLanes(
  manager: EntityManager,
  reviewId: string,
  document: StrategyDocument,
  person: Person,
  keys: Map<LineKey, LineKey>,
): Promise<Pick<StrategyRead, 'terms' | 'present'>> {
  let [added, present] = [0, 0];
  for (const [i, lane] of document.lanes.entries()) {
    const laneId = await laneForDocument(manager, reviewId, document, lane);
    keys.set(laneKey(String(i + 1)), laneKey(laneId));
    const there = await manager.findBy(TermRow, { laneId, removedAt: IsNull() });
    for (const [k, { content, origin, heldBack }] of lane.terms.entries()) {
      const known = there.find((row) => sameTerm(row.content, content));
      if (known === undefined) added += 1;
      else present += 1;
      const parts = { content, origin, heldBack };
      const row = known ?? (await newTerm(manager, laneId, parts, person));
      if (known === undefined) there.push(row);
      keys.set(termKey(`${i + 1}.${k + 1}`), termKey(row.id));
    }
  }
  return { terms: added, present };
}

/** What somebody wrote here for a line goes before what a file says. */
async function readWritten(
  manager: EntityManager,
  reviewId: string,
  { written }: StrategyDocument,
  person: Person,
  keyFor: (key: LineKey) => LineKey | null,
): Promise<number> {
  let added = 0;
  for (const { database, line: place, language, text, refersTo } of written) {
    const line = keyFor(place);
    if (line === null) continue;
    const where = { reviewId, database, line };
    const last = await manager.findOneBy(LineTextRow, { ...where, latest: true });
    if (last !== null && last.text !== null) continue;
    if (last !== null) await manager.update(LineTextRow, { id: last.id }, { latest: false });
    await manager.insert(LineTextRow, {
      id: randomUUID(),
      ...where,
      version: (last?.version ?? 0) + 1,
      language,
      text,
      refersTo: keysWith(refersTo, keyFor),
      at: new Date().toISOString(),
      personId: person.id,
      latest: true,
    });
    added += 1;
  }
  return added;
}
