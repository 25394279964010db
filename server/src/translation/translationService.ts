import { Injectable } from '@nestjs/common';
import {
  compileLanes,
  describeLine,
  standaloneQuery,
  translateLine,
  type Dialect,
  type DialectContext,
  type Lane,
  type Line,
  type Loss,
  type Query,
} from '@even-lantern/core';
import type { Counted, TranslatedLine, TranslatedLoss, Translation } from '@even-lantern/contract';
import { askedText, DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { ReadingService } from '../databases/readingService.js';

/** A review's strategy in the dialect of a database, with what is lost and what the database made of it. */
@Injectable()
export class TranslationService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly readings: ReadingService,
  ) {}

  async translate(reviewId: string, databaseId: string): Promise<Translation> {
    const { lanes, database, dialect, context, meant } = await this.readings.ofReview(reviewId, databaseId);
    const strategy = compileLanes(lanes, meant);
    const lines = await Promise.all(
      strategy.lines.map((line) =>
        this.translateLine(database, dialect, context, line, strategy.lines, lanes),
      ),
    );
    const { name, release, simulated } = database.description;
    return {
      database: database.id,
      databaseName: name,
      release,
      simulated,
      queryType: dialect?.id ?? 'cql',
      precedence: dialect?.precedence ?? null,
      lines,
      problems: strategy.problems,
    };
  }

  private async translateLine(
    database: OpenDatabase,
    dialect: Dialect | null,
    context: DialectContext,
    line: Line,
    lines: readonly Line[],
    lanes: readonly Lane[],
  ): Promise<TranslatedLine> {
    const { referring, alone } = translateLine(line, lines, dialect, context);
    const whole = standaloneQuery(line, lines);
    const [asked, meant, losses] = await Promise.all([
      this.databases.countOwn(database, alone.text, dialect?.id ?? 'cql'),
      this.databases.count(database, whole),
      Promise.all(alone.losses.map((loss) => this.measured(database, loss))),
    ]);
    const read = dialect?.parse(alone.text, context);
    return {
      number: line.number,
      kind: line.kind,
      laneId: line.laneId,
      termId: line.termId,
      description: describeLine(line, lanes),
      changes: changesOf(line, lines, lanes),
      text: referring.text,
      losses,
      sent: alone.text,
      meant,
      ...asked,
      expected: read === undefined ? alone.text : read.ok ? askedText(database, read.query).text : '',
    };
  }

  /** What a loss comes to, in records. */
  private async measured(database: OpenDatabase, { meant, saidAs, ...loss }: Loss): Promise<TranslatedLoss> {
    const only = (include: Query, exclude: Query): Promise<Counted> =>
      this.databases.count(database, { kind: 'not', include, exclude });
    const [gained, missed] = await Promise.all([only(saidAs, meant), only(meant, saidAs)]);
    return { ...loss, gained: gained.hits, missed: missed.hits };
  }
}

/** What a line says otherwise than its terms; a lane and the whole tell it of each of theirs. */
function changesOf(line: Line, lines: readonly Line[], lanes: readonly Lane[]): string[] {
  if (line.kind === 'term') return line.changes;
  return lines
    .filter(({ kind, laneId }) => kind === 'term' && (line.kind === 'whole' || laneId === line.laneId))
    .flatMap((term) => term.changes.map((change) => `${describeLine(term, lanes)}: ${change}`));
}
