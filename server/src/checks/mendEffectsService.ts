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
import { AskingService } from '../counting/countCache.js';
import { DatabasesService } from '../databases/databasesService.js';
import { inTurns } from '../counting/inTurns.js';
import { ReadingService, type ReviewReading } from '../strategies/compiledStrategies.js';

/** What mends would do, in records. Nothing is changed by asking. */
@Injectable()
export class MendEffectsService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly asking: AskingService,
    private readonly readings: ReadingService,
  ) {}

  of(reviewId: string, { database: databaseId, mends }: MendsRequest): Promise<MendEffects> {
    return this.databases.inOneRelease(databaseId, async () => {
      const also = mends.flatMap((mend) => ('content' in mend ? [mend.content] : []));
      const reading = await this.readings.ofReview(reviewId, databaseId, { also });
      const { lines } = reading.strategies.said;
      const [whole, effects] = await Promise.all([
        this.count(reading, lines, 'whole'),
        inTurns(mends, (mend) => this.effectOf(reading, mend)),
      ]);
      const { id, description } = reading.database;
      return { database: id, release: description.release, whole, mends: effects };
    });
  }

  private async effectOf(reading: ReviewReading, mend: Mend): Promise<MendEffect | null> {
    const { lanes, ownLines, strategies } = reading;
    const before: Mendable = { lanes, own: ownLines };
    const after = mended(before, mend);
    if (after === null) return null;
    const edits = this.editsAfter(reading, mend);
    if (edits === null) return null;
    const lines = linesOf({ ...reading, edits }, after);
    const at = mendedAt(mend, before);
    const [was, willBe, whole] = await Promise.all([
      this.count(reading, strategies.said.lines, at),
      this.count(reading, lines, at),
      this.count(reading, lines, 'whole'),
    ]);
    return { place: { before: was, after: willBe }, whole };
  }

  /** What is written by hand, as it would be; null where nothing is written at the line any more, or it cannot be read. */
  private editsAfter({ database, dialect, said, edits, written }: ReviewReading, mend: Mend): Edits | null {
    if (mend.kind !== 'writeText') return edits;
    const text = written.get(mend.line);
    if (text === undefined) return null;
    const context = this.readings.contextOfTexts(database);
    const read = readEdit({ ...text, text: mend.text }, dialect, context, said);
    return read.ok ? new Map([...edits, [mend.line, read.said]]) : null;
  }

  private async count(
    { database }: ReviewReading,
    lines: readonly Line[],
    key: LineKey,
  ): Promise<number | null> {
    const line = lines.find((each) => lineKeyOf(each) === key);
    if (line === undefined) return null;
    return (await this.asking.count(database, standaloneQuery(line, lines))).hits;
  }
}

/** The lines that the database would be told. */
function linesOf({ said, context, dialect, edits }: ReviewReading, { lanes, own }: Mendable): Line[] {
  const parts = own.map((line) => readOwnLine(line, context, said, dialect));
  return compileLanes(lanes, { read: said, edits, own: parts }).lines;
}
