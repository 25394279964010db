/** What a run is begun with: the strings of a strategy as it stands, or those of an entry that is repeated. */
import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  describeLine,
  formatCount,
  headingByLabel,
  isRun,
  linesToRun,
  parseCql,
  parseLine,
  printCql,
  renameHeadings,
  renamesBetween,
  settledAs,
  translateLine,
  treeOf,
  wordsFor,
  type LedgerLine,
  type LedgerSettled,
  type Line,
  type LineText,
  type Renamed,
  type RunContent,
  type StrategyState,
} from '@even-lantern/core';
import {
  MOST_RECORDS,
  type NewRun,
  type Person,
  type RepeatedRun,
  type RunMark,
} from '@even-lantern/contract';
import { badInput, notFound } from '../http/problem.js';
import { CrosswalkService } from '../crosswalk/crosswalkService.js';
import { VocabulariesService } from '../vocabularies/vocabulariesService.js';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { contextOf, DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { withTimeout } from '../connectors/timeout.js';
import { CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type CompiledStrategy } from '../strategies/compiledStrategy.js';
import { LedgerService, runOfEntry } from '../ledger/ledgerService.js';
import { acceptedFindings } from '../reviews/acceptedFindings.js';
import { ReviewsService } from '../reviews/reviewsService.js';
import { PeopleService } from '../people/people.js';
import { StrategyVersionRow, type Begun, type RunRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { VersionsService } from '../versions/versionsService.js';
import { loggedLimits } from './runLimits.js';
import { marksOf } from './runState.js';

/** How long a run waits for the database to tell its release. */
const TIMEOUT_MS = 4000;

export interface PlannedRun {
  row: RunRow;
  database: OpenDatabase;
}

/** A kept state of a strategy, from which one or several runs are made. */
export interface KeptState {
  state: StrategyState;
  version: RunContent['version'];
}

@Injectable()
export class RunPlanning {
  constructor(
    private readonly store: Store,
    private readonly strategies: CompiledStrategies,
    private readonly databases: DatabasesService,
    private readonly reviews: ReviewsService,
    private readonly versions: VersionsService,
    private readonly crosswalk: CrosswalkService,
    private readonly vocabularies: VocabulariesService,
    private readonly people: PeopleService,
    private readonly ledger: LedgerService,
  ) {}

  /** Keeps the present strategy, so that what is run is one state in all databases, whatever is edited meanwhile. */
  async keptState(reviewId: string, person: Person): Promise<KeptState | null> {
    await this.reviews.expect(reviewId);
    const id = await this.versions.keep(reviewId, person.id, false);
    if (id === null) return null;
    const row = await this.store.read.findOneBy(StrategyVersionRow, { id });
    if (row === null) throw notFound('This version');
    const { state, position: number, name, digest } = row;
    return { state, version: { number, name, digest } };
  }

  /**
   * A run of a strategy.
   * @param kept null for a strategy in which nothing was written yet
   * @throws ProblemException where something has to be settled first
   */
  async ofStrategy(
    reviewId: string,
    { database: databaseId, timeZone, release, most = MOST_RECORDS, purpose = '', note = '' }: NewRun,
    kept: KeptState | null,
    person: Person,
    together?: string,
  ): Promise<PlannedRun> {
    // What is logged names the release, so the database is asked how it is now; a slow one is not waited for.
    if (this.databases.knows(databaseId)) {
      await withTimeout(TIMEOUT_MS, this.databases.refresh(databaseId), undefined);
    }
    const present = await this.reviews.get(reviewId);
    const reading = await this.strategies.compile(reviewId, databaseId, {
      release,
      ...(kept === null ? {} : { state: kept.state }),
    });
    const { lanes, database, dialect, context, strategies, shown } = reading;
    const lines = linesToRun(shown.intended.lines);
    // A line that only looks is no part of what is run.
    const problems = shown.intended.problems.filter(({ aside }) => aside !== true);
    // What is said otherwise is logged with the lines, though strings are printed from what is meant.
    const changes = linesToRun(shown.sent.lines).map((line) => line.changes);
    // An unfinished term would make the log say less than the screen, so it is settled first.
    if (problems.length > 0) {
      throw badInput(
        problems.map(({ termId, laneId, message }) => ({ path: termId ?? laneId ?? '', message })),
      );
    }
    const limits = loggedLimits(reading, present.limits);
    const strings = lines.map((line) => translateLine(line, lines, dialect, context).alone.text);
    await this.sureOfWhole(database, lines, strings);
    const begun: Begun = {
      purpose,
      note,
      ...(together === undefined ? {} : { together }),
      version: kept?.version ?? null,
      accepted: (await acceptedFindings(this.store.read, this.people, reviewId)).map((each) => ({
        message: each.message,
        reason: each.reason,
        by: each.acceptedBy,
        at: each.acceptedAt,
      })),
      settled: await this.settledIn(reading),
      repeats: null,
      renamed: [],
    };
    return {
      database,
      row: {
        ...this.newRow(reviewId, database, release, { timeZone, most, begun }, person),
        queryType: dialect?.id ?? 'cql',
        lines: lines.map((line, i): LedgerLine => ({
          number: line.number,
          description: describeLine(line, lanes),
          string: strings[i] ?? '',
          hits: null,
          losses: changes[i] ?? [],
        })),
        marks: marksOf(strategies.sent, reading.ownLines, context),
        limits,
      },
    };
  }

  /**
   * A run that repeats an entry: the same strings, word for word. Against the present release, headings that have another
   * name now are asked by that, and the entry says so.
   */
  async ofEntry(
    reviewId: string,
    number: number,
    { release: which, timeZone, purpose = '', note = '' }: RepeatedRun,
    person: Person,
  ): Promise<PlannedRun> {
    await this.reviews.expect(reviewId);
    const entry = await this.ledger.entry(this.store.read, reviewId, number);
    const before = runContent(entry.content);
    if (this.databases.knows(before.database)) {
      await withTimeout(TIMEOUT_MS, this.databases.refresh(before.database), undefined);
    }
    const database = await this.databases.open(before.database);
    const then = which === 'then' && before.release !== '' ? before.release : undefined;
    const renamed = then === undefined ? renamesOf(before, database) : [];
    const lines = before.lines.map((line) => ({
      ...line,
      hits: null,
      ...renamedLine(line, before, database, renamed),
    }));
    await this.sureOfWhole(
      database,
      lines,
      lines.map(({ string }) => string),
    );
    const begun: Begun = {
      purpose,
      note,
      version: before.version ?? null,
      accepted: before.accepted ?? [],
      settled: before.settled ?? [],
      repeats: { entry: number, hash: entry.hash },
      renamed,
    };
    const most = Math.max(MOST_RECORDS, (before.hits ?? 0) * 2);
    const marks = await this.marksOfEntry(reviewId, number, renamed);
    return {
      database,
      row: {
        ...this.newRow(reviewId, database, then, { timeZone, most, begun }, person),
        queryType: before.queryType ?? 'cql',
        lines,
        marks,
        limits: (before.limits ?? []).map((limit) => ({ ...limit, before: null, after: null })),
      },
    };
  }

  /** What marked the records of the entry's run, with the names of now. */
  private async marksOfEntry(
    reviewId: string,
    entry: number,
    renamed: readonly Renamed[],
  ): Promise<RunMark[] | null> {
    const run = await runOfEntry(this.store.read, reviewId, entry);
    if (run?.marks == null) return null;
    return run.marks.map((mark) => {
      const { vocabulary, limitFields, cql } = mark;
      const read = renamed.length === 0 ? null : parseCql(cql, { vocabulary: vocabulary ?? '', limitFields });
      if (read?.ok !== true) return mark;
      return {
        ...mark,
        cql: printCql(renameHeadings(read.query, renamed), { vocabulary: vocabulary ?? '' }),
      };
    });
  }

  /** What every run begins with, whatever it runs. @throws ProblemException for a release that cannot be asked for */
  private newRow(
    reviewId: string,
    { id, description }: OpenDatabase,
    release: string | undefined,
    { timeZone, most, begun }: { timeZone: string; most: number; begun: Begun },
    person: Person,
  ): Omit<RunRow, 'queryType' | 'lines' | 'marks' | 'limits'> {
    if (release !== undefined && release !== description.release && !description.releases.includes(release)) {
      const message = `${description.name} does not answer for the release “${release}”.`;
      throw badInput([{ path: 'release', message }]);
    }
    const at = new Date().toISOString();
    return {
      id: randomUUID(),
      reviewId,
      database: id,
      databaseName: description.name,
      release: release ?? description.release,
      status: 'running',
      startedAt: at,
      timeZone,
      ranBy: person.id,
      hits: null,
      fetched: 0,
      reason: null,
      most,
      lastAt: at,
      remarks: [],
      begun,
    };
  }

  /** How headings of other vocabularies are said here, as somebody settled them. */
  private async settledIn({ lanes, database }: CompiledStrategy): Promise<LedgerSettled[]> {
    const target = database.vocabulary?.id;
    if (target === undefined) return [];
    const headings = lanes.flatMap(({ terms }) =>
      terms.flatMap(({ content, heldBack }) =>
        heldBack === null && content.kind === 'heading' && content.vocabulary !== target ? [content] : [],
      ),
    );
    if (headings.length === 0) return [];
    const steps = await this.crosswalk.settled();
    const settled = new Map<string, LedgerSettled>();
    for (const { vocabulary, label } of headings) {
      const key = JSON.stringify([vocabulary, label]);
      const as = settledAs(steps, vocabulary, label, target);
      const step = steps.findLast(
        (each) => each.vocabulary === vocabulary && each.label === label && each.target === target,
      );
      if (settled.has(key) || as.kind === 'open' || step === undefined) continue;
      const tree = as.kind === 'words' ? await this.vocabularies.tree(vocabulary) : null;
      const heading = tree === null ? null : headingByLabel(tree, label);
      settled.set(key, {
        heading: label,
        vocabulary,
        headings: as.kind === 'headings' ? as.labels : [],
        words: heading === null ? [] : wordsFor(heading),
        by: step.person,
        at: step.at,
      });
    }
    return [...settled.values()];
  }

  /** What a person asks by hand is run when the whole has been counted, or nothing could be fetched for it. */
  private async sureOfWhole(
    { description, connector }: OpenDatabase,
    lines: readonly Pick<Line, 'number'>[],
    strings: readonly string[],
  ): Promise<void> {
    const [last, whole] = [lines.at(-1), strings.at(-1)];
    if (description.reached !== 'hand' || last === undefined || whole === undefined) return;
    try {
      await connector.count(whole);
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      const message = `Enter what the whole strategy finds in ${description.name} first: L${last.number} has no count.`;
      throw badInput([{ path: 'database', message }]);
    }
  }
}

/** The headings of an entry that the database's vocabulary calls otherwise now. */
function renamesOf({ lines, queryType }: RunContent, database: OpenDatabase): Renamed[] {
  const { vocabulary, dialect } = database;
  if (vocabulary === null) return [];
  const renames = lines.flatMap((line) => {
    const read = parseLine(asText(line, queryType), dialect, contextOf(database));
    return read.ok ? renamesBetween(read.query, treeOf(vocabulary)) : [];
  });
  return [...new Map(renames.map((each) => [each.from, each])).values()];
}

/** The line with the names of now; nothing where it names none that changed, and so stays as it was written. */
function renamedLine(
  line: LedgerLine,
  { queryType }: RunContent,
  database: OpenDatabase,
  renames: readonly Renamed[],
): Partial<LedgerLine> {
  if (renames.length === 0) return {};
  const { dialect } = database;
  const context = contextOf(database);
  const text = asText(line, queryType);
  const read = parseLine(text, dialect, context);
  if (!read.ok) return {};
  const query = renameHeadings(read.query, renames);
  if (JSON.stringify(query) === JSON.stringify(read.query)) return {};
  const string =
    text.language === 'cql' || dialect === null
      ? printCql(query, { vocabulary: context.vocabulary ?? '' })
      : dialect.print(query, context).text;
  return { string };
}

function asText({ string: text }: LedgerLine, queryType = 'cql'): Pick<LineText, 'language' | 'text'> {
  return { language: queryType === 'cql' ? 'cql' : 'own', text };
}

/** Why more records than are fetched without asking are not fetched. */
export function tooManyText(hits: number, most: number): string {
  return `it finds ${formatCount(hits)} records, more than the ${formatCount(most)} that are fetched without asking. Narrow the strategy, or run it again and say that all are wanted`;
}

/** The content of an entry, where it is a run. @throws ProblemException for one that is none */
export function runContent(content: unknown): RunContent {
  const run = content as RunContent;
  if (!isRun(run)) {
    throw badInput([{ path: 'entry', message: 'This entry is no run, so there is nothing to run again.' }]);
  }
  return run;
}
