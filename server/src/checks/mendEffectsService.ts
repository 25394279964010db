import { Injectable } from '@nestjs/common';
import {
  compileLanes,
  lineKeyOf,
  mended,
  mendedAt,
  readEdit,
  readOwnLine,
  standaloneQuery,
  type Edits,
  type Line,
  type LineKey,
  type Mend,
  type Mendable,
} from '@even-lantern/core';
import type { MendEffect, MendEffects, MendsRequest } from '@even-lantern/contract';
import { CountCache } from '../counting/countCache.js';
import { DatabasesService } from '../databases/databasesService.js';
import { inTurns } from '../counting/inTurns.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type CompiledStrategy } from '../strategies/compiledStrategy.js';

/** What mends would do, in records. Nothing is changed by asking. */
@Injectable()
export class MendEffectsService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
    private readonly strategies: CompiledStrategies,
  ) {}

  of(reviewId: string, { database: databaseId, mends }: MendsRequest): Promise<MendEffects> {
    return this.databases.inOneRelease(databaseId, async () => {
      const also = mends.flatMap((mend) => ('content' in mend ? [mend.content] : []));
      const reading = await this.strategies.compile(reviewId, databaseId, { also });
      const { lines } = reading.strategies.sent;
      const [whole, effects] = await Promise.all([
        this.count(reading, lines, 'whole'),
        inTurns(mends, (mend) => this.effectOf(reading, mend)),
      ]);
      const { id, description } = reading.database;
      return { database: id, release: description.release, whole, mends: effects };
    });
  }

  private async effectOf(reading: CompiledStrategy, mend: Mend): Promise<MendEffect | null> {
    const { lanes, ownLines, strategies } = reading;
    const before: Mendable = { lanes, own: ownLines };
    const after = mended(before, mend);
    if (after === null) return null;
    const edits = this.editsAfter(reading, mend);
    if (edits === null) return null;
    const lines = linesOf({ ...reading, edits }, after);
    const at = mendedAt(mend, before);
    const [was, willBe, whole] = await Promise.all([
      this.count(reading, strategies.sent.lines, at),
      this.count(reading, lines, at),
      this.count(reading, lines, 'whole'),
    ]);
    return { place: { before: was, after: willBe }, whole };
  }

  /** What is written by hand, as it would be; null where nothing is written at the line any more, or it cannot be read. */
  private editsAfter(
    { database, dialect, sent, edits, written }: CompiledStrategy,
    mend: Mend,
  ): Edits | null {
    if (mend.kind !== 'writeText') return edits;
    const text = written.get(mend.line);
    if (text === undefined) return null;
    const context = this.strategies.contextOfTexts(database);
    const read = readEdit({ ...text, text: mend.text }, dialect, context, sent);
    return read.ok ? new Map([...edits, [mend.line, read.sent]]) : null;
  }

  private async count(
    { database }: CompiledStrategy,
    lines: readonly Line[],
    key: LineKey,
  ): Promise<number | null> {
    const line = lines.find((each) => lineKeyOf(each) === key);
    if (line === undefined) return null;
    return (await this.counts.count(database, standaloneQuery(line, lines))).hits;
  }
}

/** The lines that the database would be told. */
function linesOf({ sent, context, dialect, edits }: CompiledStrategy, { lanes, own }: Mendable): Line[] {
  const parts = own.map((line) => readOwnLine(line, context, sent, dialect));
  return compileLanes(lanes, { read: sent, edits, own: parts }).lines;
}
