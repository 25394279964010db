import { Injectable, Logger } from '@nestjs/common';
import {
  convertLine,
  describeLine,
  lineKeyOf,
  linesIn,
  parseLine,
  printCql,
  standaloneQuery,
  translateLine,
  type Lane,
  type Line,
  type LineText,
  type Loss,
  type Query,
} from '@even-lantern/core';
import type {
  ConvertedText,
  Counted,
  FromLanes,
  LineConversion,
  LineTextChange,
  LineWritten,
  Person,
  TranslatedLine,
  TranslatedLoss,
  Translation,
} from '@even-lantern/contract';
import { askedText, CountCache } from '../counting/countCache.js';
import { withPriority } from '../connectors/callQueue.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { inTurns, turn } from '../counting/inTurns.js';
import { affordableCalls, withinAllowance } from '../counting/callAllowance.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type ParsedLine, type CompiledStrategy } from '../strategies/compiledStrategy.js';
import { LineTextsService } from '../strategies/lineTextsService.js';

/** A review's strategy in the dialect of a database, with what is lost and what the database made of it. */
@Injectable()
export class TranslationService {
  private readonly logger = new Logger('translation');

  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
    private readonly strategies: CompiledStrategies,
    private readonly lineTexts: LineTextsService,
  ) {}

  translate(reviewId: string, databaseId: string): Promise<Translation> {
    return this.databases.inOneRelease(databaseId, async () => {
      const { budget } = await this.databases.open(databaseId);
      const { result, uncounted } = await withinAllowance(affordableCalls(budget), () =>
        withPriority('soon', () => this.translateOnce(reviewId, databaseId)),
      );
      return { ...result, unasked: uncounted };
    });
  }

  private async translateOnce(reviewId: string, databaseId: string): Promise<Omit<Translation, 'unasked'>> {
    const reading = await this.strategies.compile(reviewId, databaseId);
    const { database, dialect, shown } = reading;
    const versions = await this.lineTexts.versions(reviewId, databaseId);
    const { lines, problems } = shown.intended;
    const givenLines = new Map(reading.strategies.ofLanes.lines.map((line) => [lineKeyOf(line), line]));
    const { name, release, simulated } = database.description;
    return {
      database: database.id,
      databaseName: name,
      release,
      simulated,
      queryType: dialect?.id ?? 'cql',
      precedence: dialect?.precedence ?? null,
      lines: await inTurns(lines, (line) => this.translateLine(reading, line, versions, givenLines)),
      problems,
    };
  }

  /** How a text would stand in the other language of a database, and what would be lost, in records. */
  async convert({ database: id, language, text, to }: LineConversion): Promise<ConvertedText> {
    const database = await this.databases.open(id);
    const context = await this.strategies.contextForPrinting(database, { language, text });
    const converted = convertLine({ language, text }, to, database.dialect, context);
    if (!converted.ok) return { text: null, problem: converted.error, losses: [] };
    const losses = await Promise.all(converted.losses.map((loss) => this.measured(database, loss)));
    return { text: converted.text, problem: null, losses };
  }

  /** Writes a line by hand, readable or not: what cannot be read yet is kept, and told. */
  async write(reviewId: string, change: LineTextChange, person: Person): Promise<LineWritten> {
    const { database, dialect, shown } = await this.strategies.compile(reviewId, change.database);
    const refersTo: Record<number, string> = {};
    if (change.text !== null) {
      const { language, text } = change;
      const read = parseLine({ language, text }, dialect, this.strategies.contextOfTexts(database));
      for (const number of read.ok ? linesIn(read.query) : []) {
        const line = shown.intended.lines[number - 1];
        if (line !== undefined) refersTo[number] = lineKeyOf(line);
      }
    }
    const version = await this.lineTexts.write(reviewId, change, refersTo, person);
    try {
      return { version, translation: await this.translate(reviewId, change.database) };
    } catch (error) {
      // It is saved, so nobody may be told that it was not.
      this.logger.error(error instanceof Error ? error.stack : String(error));
      return { version, translation: null };
    }
  }

  private async translateLine(
    reading: CompiledStrategy,
    line: Line,
    versions: ReadonlyMap<string, number>,
    givenLines: ReadonlyMap<string, Line>,
  ): Promise<TranslatedLine> {
    const { database, dialect, context, lanes, written } = reading;
    const { lines } = reading.shown.intended;
    const { referring, alone } = translateLine(line, lines, dialect, context);
    const whole = standaloneQuery(line, lines);
    const key = lineKeyOf(line);
    const text = written.get(key);
    const [asked, intended, losses, ofLanes] = await Promise.all([
      this.counts.countOwn(database, alone.text, dialect?.id ?? 'cql'),
      this.counts.count(database, whole),
      Promise.all(alone.losses.map((loss) => this.measured(database, loss))),
      this.ofLanes(reading, givenLines.get(key)),
    ]);
    // Answers of many lines may come, or be given up, at the same moment.
    await turn();
    const read = dialect?.parse(alone.text, context);
    return {
      number: line.number,
      kind: line.kind,
      laneId: line.laneId,
      termId: line.termId,
      limitId: line.limitId,
      ownId: line.ownId,
      description: describeLine(line, lanes),
      changes: changesOf(line, lines, lanes),
      text: referring.text,
      losses,
      sent: alone.text,
      intended,
      ...asked,
      expected: read === undefined ? alone.text : read.ok ? askedText(database, read.query).text : '',
      key,
      written: text === undefined ? null : shownText(text),
      version: versions.get(key) ?? 0,
      lanes: ofLanes,
    };
  }

  /** What the lanes give for a line, whatever was written for it or for others. */
  private async ofLanes(
    { database, dialect, context, strategies: { ofLanes } }: CompiledStrategy,
    line: Line | undefined,
  ): Promise<FromLanes | null> {
    if (line === undefined) return null;
    const { alone } = translateLine(line, ofLanes.lines, dialect, context);
    const cql = printCql(standaloneQuery(line, ofLanes.lines), { vocabulary: context.vocabulary ?? '' });
    const { hits, error } = await this.counts.countOwn(database, alone.text, dialect?.id ?? 'cql');
    return { own: alone.text, cql, hits, error };
  }

  /** What a loss comes to, in records. */
  private async measured(database: OpenDatabase, { intended, sent, ...loss }: Loss): Promise<TranslatedLoss> {
    const only = (include: Query, exclude: Query): Promise<Counted> =>
      this.counts.count(database, { kind: 'not', include, exclude });
    const [gained, missed] = await Promise.all([only(sent, intended), only(intended, sent)]);
    return { ...loss, gained: gained.hits, missed: missed.hits };
  }
}

function shownText({
  language,
  text,
  at,
  person,
  problem,
  cautions,
}: LineText &
  Pick<NonNullable<TranslatedLine['written']>, 'at' | 'person' | 'problem'> &
  Pick<ParsedLine, 'cautions'>) {
  return { language, text, at, person, problem, cautions: [...cautions] };
}

/** What a line says otherwise than its terms; a lane and the whole tell it of each of theirs. */
function changesOf(line: Line, lines: readonly Line[], lanes: readonly Lane[]): string[] {
  if (line.kind !== 'lane' && line.kind !== 'whole') return line.changes;
  if (line.edited) return line.changes;
  return lines
    .filter(({ kind, laneId }) => kind === 'term' && (line.kind === 'whole' || laneId === line.laneId))
    .flatMap((term) => term.changes.map((change) => `${describeLine(term, lanes)}: ${change}`));
}
