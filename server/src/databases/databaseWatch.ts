/**
 * What is known of one database, and how it answers. A description once heard stays in force until a later one has been
 * read whole, with its vocabulary; it is asked for in the background: at the start, now and then, soon after a failure,
 * and when an answer tells of another release. Slow is not away: a slow database keeps what it said and is still asked;
 * one is away when several calls in a row have failed over some time.
 */
import type { Vocabulary } from '@even-lantern/core';
import type { CallBudget, DatabaseState } from '@even-lantern/contract';
import { withTimeout } from '../connectors/timeout.js';
import { WATCH_TIMES, type WatchTimes } from '../configuration/watchTimes.js';
import {
  DatabaseError,
  type DatabaseConnector,
  type DatabaseDescription,
} from '../connectors/databaseConnector.js';

/** As a database described itself last. */
export interface KnownDatabase {
  description: DatabaseDescription;
  /** its vocabulary, or null when it has none */
  vocabulary: Vocabulary | null;
}

/** So many calls in a row. */
const AWAY_AFTER = 3;
/** Tries of one that stays away come less and less often, up to so many times apart. */
const MOST_PATIENT = 8;
/** While people look at the list, it is asked anew after so many times as long as between two tries. */
const FRESH_TIMES = 4;

export class DatabaseWatch {
  /** asks the database, and tells the watch how it went */
  readonly connector: DatabaseConnector;

  private kept: CallBudget | null = null;
  private known: KnownDatabase | null = null;
  private asking: Promise<KnownDatabase> | null = null;
  private timer: NodeJS.Timeout | undefined;
  private stopped = false;
  private askedAt = -Infinity;
  private failures = 0;
  private failingSince = 0;
  private lastReason = '';
  /** ends what is under way when the database is found to be away */
  private away = new AbortController();
  private lastMs = 0;
  /** another release that an answer told of, and when */
  private news = { release: '', at: -Infinity };
  /** whether it said of a count that it is no exact one */
  private estimated = false;
  /** when each call that is under way began */
  private readonly underWay = new Set<{ from: number }>();

  /** @param read reads a description's vocabulary */
  constructor(
    private readonly direct: DatabaseConnector,
    private readonly read: (
      connector: DatabaseConnector,
      description: DatabaseDescription,
    ) => Promise<Vocabulary | null>,
    private readonly times: WatchTimes = WATCH_TIMES,
  ) {
    direct.observe?.({
      begins: () => {
        const call = { from: performance.now() };
        this.underWay.add(call);
        return (answered) => {
          this.underWay.delete(call);
          if (answered) this.lastMs = performance.now() - call.from;
        };
      },
    });
    this.connector = this.watched(direct);
  }

  /** From now on, it may be asked so much. */
  keepTo(budget: CallBudget): void {
    if (this.direct.keepTo === undefined) return;
    this.direct.keepTo(budget);
    this.kept = budget;
  }

  /** How much it may be asked; null where nothing is called. */
  get budget(): CallBudget | null {
    return this.kept;
  }

  /** What it said last; null while it has never been heard. */
  get present(): KnownDatabase | null {
    return this.known;
  }

  /** Whether its counts are estimates, as far as it has said so. */
  get estimates(): boolean {
    return this.estimated;
  }

  state(): { state: DatabaseState; trouble: string | null } {
    if (this.isAway()) return { state: 'away', trouble: this.lastReason };
    if (this.failures >= AWAY_AFTER) return { state: 'slow', trouble: this.lastReason };
    const waiting = Math.max(0, ...[...this.underWay].map(({ from }) => performance.now() - from));
    const ms = Math.max(waiting, this.lastMs);
    if (ms < this.times.slowMs) return { state: 'ready', trouble: null };
    return { state: 'slow', trouble: `It takes ${Math.round(ms / 1000)} seconds to answer.` };
  }

  /** Begins to ask in the background. */
  start(): void {
    this.askSoon(0);
  }

  stop(): void {
    this.stopped = true;
    clearTimeout(this.timer);
  }

  /**
   * What it said last, or, where it has never been heard, what it says now.
   * @throws DatabaseError when it has never been heard and does not answer
   */
  heard(): Promise<KnownDatabase> {
    return this.known === null ? this.refresh() : Promise.resolve(this.known);
  }

  /** Where an answer told of another release, waits until that one is known, but not for long. */
  async settled(): Promise<KnownDatabase | null> {
    const moving = this.news.release !== '' && this.news.release !== this.known?.description.release;
    if (moving && this.asking !== null) {
      await withTimeout(
        this.times.movingMs,
        this.asking.catch(() => null),
        null,
      );
    }
    return this.known;
  }

  /**
   * Asks it to describe itself now. Whoever asks meanwhile waits for the same answer.
   * @throws DatabaseError when it does not answer
   */
  refresh(): Promise<KnownDatabase> {
    this.asking ??= this.ask().finally(() => {
      this.asking = null;
      this.askSoon();
    });
    return this.asking;
  }

  /** Asks in the background where the last answer is some time ago. */
  refreshWhenOlder(): void {
    const { againMs } = this.times;
    if (this.asking === null && performance.now() - this.askedAt > againMs * FRESH_TIMES) {
      void this.refresh().catch(() => undefined);
    }
  }

  private async ask(): Promise<KnownDatabase> {
    this.askedAt = performance.now();
    try {
      const description = await this.timed(() => this.direct.explain());
      // The address names the release, so what has been read stays good.
      const vocabulary = await this.timed(() => this.read(this.direct, description));
      this.known = { description, vocabulary };
      this.succeeded();
      return this.known;
    } catch (error) {
      this.failed(error);
      throw error;
    }
  }

  private askSoon(ms = this.pause()): void {
    clearTimeout(this.timer);
    if (this.stopped) return;
    this.timer = setTimeout(() => void this.refresh().catch(() => undefined), ms);
    this.timer.unref();
  }

  private pause(): number {
    const { everyMs, againMs } = this.times;
    if (this.failures === 0) return everyMs;
    return Math.min(everyMs, againMs * Math.min(MOST_PATIENT, Math.max(1, this.failures - AWAY_AFTER)));
  }

  private isAway(): boolean {
    if (this.known === null) return this.failures > 0;
    return this.failures >= AWAY_AFTER && performance.now() - this.failingSince >= this.times.awayMs;
  }

  /** Asks and listens. While the database is away nobody waits for it but the watch itself. */
  private watched(direct: DatabaseConnector): DatabaseConnector {
    /** @param signal of whoever asks; the call ends as well when the database is found to be away meanwhile */
    const through = async <T>(call: (ends: AbortSignal) => Promise<T>, signal?: AbortSignal): Promise<T> => {
      if (this.isAway() && this.known !== null) throw new DatabaseError(this.lastReason, false);
      const away = this.away.signal;
      // One of its own for each call: thousands that wait would all be listed at the one that they share.
      const ends = AbortSignal.any(signal === undefined ? [away] : [signal, away]);
      try {
        const answer = await this.timed(() => call(ends));
        this.succeeded();
        return answer;
      } catch (error) {
        this.failed(error);
        const given =
          away.aborted && signal?.aborted !== true && error instanceof DatabaseError && error.stopped;
        throw given ? new DatabaseError(this.lastReason, false) : error;
      }
    };
    const released = async <T extends { release: string; estimated?: true }>(
      requested: string | undefined,
      call: (ends: AbortSignal) => Promise<T>,
      signal?: AbortSignal,
    ) => {
      const answer = await through(call, signal);
      if (answer.estimated === true) this.estimated = true;
      if (requested === undefined) this.heardOf(answer.release);
      return answer;
    };
    const { fetch } = direct;
    return {
      explain: () => through(() => direct.explain()),
      count: (query, signal, options) =>
        released(options?.release, (ends) => direct.count(query, ends, options), signal),
      search: (query, page, signal, options) =>
        released(options?.release, (ends) => direct.search(query, page, ends, options), signal),
      ...(fetch === undefined
        ? {}
        : {
            fetch: (accessions: readonly string[], release?: string, signal?: AbortSignal) =>
              released(release, (ends) => (direct.fetch ?? fetch)(accessions, release, ends), signal),
          }),
      scan: (...asked) => through(() => direct.scan(...asked)),
      facets: (query, indexes, signal) => through((ends) => direct.facets(query, indexes, ends), signal),
      vocabulary: (...asked) => through(() => direct.vocabulary(...asked)),
      // What is asked once only must not be refused for what others met.
      advance: () => direct.advance(),
    };
  }

  /** Some databases name another release in answers than in their description, always; they are asked only now and then. */
  private heardOf(release: string): void {
    if (this.known === null || release === this.known.description.release) return;
    const known = release === this.news.release && performance.now() - this.news.at < this.times.everyMs;
    if (known) return;
    this.news = { release, at: performance.now() };
    void this.refresh().catch(() => undefined);
  }

  /** Where the connector does not tell of its single calls, each question counts as one. */
  private async timed<T>(call: () => Promise<T>): Promise<T> {
    if (this.direct.observe !== undefined) return call();
    const mine = { from: performance.now() };
    this.underWay.add(mine);
    try {
      const answer = await call();
      this.lastMs = performance.now() - mine.from;
      return answer;
    } finally {
      this.underWay.delete(mine);
    }
  }

  private succeeded(): void {
    const wasFailing = this.failures > 0;
    this.failures = 0;
    if (this.away.signal.aborted) this.away = new AbortController();
    if (wasFailing && this.asking === null) this.askSoon();
  }

  private failed(error: unknown): void {
    if (!(error instanceof DatabaseError) || error.refused) {
      // It answered, though not as was wished.
      if (error instanceof DatabaseError && this.known !== null) this.succeeded();
      if (error instanceof DatabaseError) this.lastReason = error.message;
      if (this.known === null) this.failures += 1;
      return;
    }
    if (error.stopped) return;
    this.lastReason = error.message;
    if (this.failures === 0) {
      this.failingSince = performance.now();
      if (this.asking === null) this.askSoon(this.times.againMs);
    }
    this.failures += 1;
    // Those that still wait for an answer, or for their turn, need not wait any longer.
    if (this.isAway()) this.away.abort();
  }
}
