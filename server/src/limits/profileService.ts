import { Injectable } from '@nestjs/common';
import {
  applyLimit,
  limitKind,
  limitKey,
  ownField,
  profileQueries,
  standaloneQuery,
  stepWarnings,
  type Query,
  type StepQueries,
} from '@even-lantern/core';
import type {
  Counted,
  Decision,
  LimitProfile,
  LimitStep,
  LimitValueCounts,
  LimitValuesRequest,
  ProfileRequest,
  StepPart,
  StepSample,
  StepSampleRequest,
  ValueCount,
} from '@even-lantern/contract';
import { In } from 'typeorm';
import { ProblemException, notFound } from '../http/problem.js';
import { CountCache } from '../counting/countCache.js';
import { DatabasesService, type OpenDatabase } from '../databases/databasesService.js';
import { appliedIn, CompiledStrategies } from '../strategies/compiledStrategies.js';
import { type LimitInUse, type CompiledStrategy } from '../strategies/compiledStrategy.js';
import { RecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { KeptRecords } from './keptRecords.js';

const NOTHING: Counted = { hits: null, error: null };
/** The index by which a database counts its years. */
const YEAR_INDEX = 'year';

/** What its own limit and its words find of what comes to a limit. */
interface Compared {
  ownOnly: Query;
  both: Query;
  wordsOnly: Query;
}

/** The steps of a profile, with what is asked for each. */
interface Profiled {
  whole: Query | null;
  steps: ProfiledStep[];
}

interface ProfiledStep extends StepQueries {
  compared: Compared | null;
  against: { gained: Query; missed: Query } | null;
}

function partOf(step: ProfiledStep, part: StepPart): Query | null {
  switch (part) {
    case 'ownOnly':
    case 'wordsOnly':
      return step.compared?.[part] ?? null;
    case 'gained':
    case 'missed':
      return step.against?.[part] ?? null;
    default:
      return step[part];
  }
}

/** What limits take away, counted without logging anything. */
@Injectable()
export class ProfileService {
  constructor(
    private readonly databases: DatabasesService,
    private readonly counts: CountCache,
    private readonly strategies: CompiledStrategies,
    private readonly kept: KeptRecords,
    private readonly store: Store,
  ) {}

  profile(reviewId: string, { database, limits }: ProfileRequest): Promise<LimitProfile> {
    return this.databases.inOneRelease(database, async () => {
      const reading = await this.strategies.compile(reviewId, database, { tried: limits });
      return this.profileOf(reviewId, reading);
    });
  }

  private async profileOf(reviewId: string, reading: CompiledStrategy): Promise<LimitProfile> {
    const { database, strategies } = reading;
    const { whole, steps } = profiled(reading);
    const count = (query: Query | null) =>
      query === null || whole === null ? Promise.resolve(NOTHING) : this.counts.count(database, query);
    const [before, counted, kept] = await Promise.all([
      count(whole),
      Promise.all(
        steps.map(({ remains, only, lacking, compared, against }) =>
          Promise.all([
            count(remains),
            count(only),
            count(lacking),
            count(compared?.ownOnly ?? null),
            count(compared?.both ?? null),
            count(compared?.wordsOnly ?? null),
            count(against?.gained ?? null),
            count(against?.missed ?? null),
          ]),
        ),
      ),
      whole === null
        ? []
        : this.kept.among(
            reviewId,
            database,
            steps.map(({ lost }) => lost),
          ),
    ]);
    let left = before;
    const limitSteps = reading.limits.map((read, i): LimitStep => {
      const [
        remains = NOTHING,
        only = NOTHING,
        lacking = NOTHING,
        ownOnly = NOTHING,
        both = NOTHING,
        wordsOnly = NOTHING,
        gained = NOTHING,
        missed = NOTHING,
      ] = counted[i] ?? [];
      const line = strategies.sent.lines.find(({ limitId }) => limitId === read.limit.id);
      const restricts = read.sent !== null;
      const counts = { before: left.hits, remains: remains.hits, lacking: lacking.hits };
      left = remains;
      return {
        limitId: read.limit.id,
        way: read.way,
        ways: read.ways,
        unavailable: read.unavailable,
        unknown: read.unknown,
        changes: read.changes,
        written: line?.edited ?? false,
        line: line?.number ?? null,
        remains,
        lost: counts.before === null || remains.hits === null ? null : counts.before - remains.hits,
        only: restricts ? only.hits : 0,
        lacking: lacking.hits,
        kept: kept[i] ?? null,
        warnings: restricts ? stepWarnings(counts) : [],
        compared:
          steps[i]?.compared == null
            ? null
            : { ownOnly: ownOnly.hits, both: both.hits, wordsOnly: wordsOnly.hits },
        against: steps[i]?.against == null ? null : { gained: gained.hits, missed: missed.hits },
      };
    });
    const { name, release, simulated } = database.description;
    return {
      database: database.id,
      databaseName: name,
      release,
      simulated,
      before,
      remains: limitSteps.at(-1)?.remains ?? before,
      steps: limitSteps,
      problems: strategies.sent.problems,
    };
  }

  /** The first records of a part of a step, with what was decided of those that the review holds. */
  async sample(
    reviewId: string,
    { database: id, limits, limitId, part }: StepSampleRequest,
  ): Promise<StepSample> {
    const reading = await this.strategies.compile(reviewId, id, { tried: limits });
    const at = reading.limits.findIndex(({ limit }) => limit.id === limitId);
    const step = profiled(reading).steps[at];
    if (step === undefined) throw notFound('This limit');
    const query = partOf(step, part);
    if (query === null) return { hits: 0, error: null, records: [], decisions: {} };
    const sample = await this.counts.sample(reading.database, query);
    const accession = In(sample.records.map((record) => record.accession));
    const rows = await this.store.read.find(RecordRow, {
      where: { reviewId, database: id, accession },
      select: { accession: true, decision: true },
    });
    const decisions = Object.fromEntries(rows.map((row) => [row.accession, row.decision as Decision]));
    return { ...sample, decisions };
  }

  /** The values of a kind among what all other limits leave, with how many records have each. */
  async values(
    reviewId: string,
    { database: id, limits, limitId, kind: kindId, most }: LimitValuesRequest,
  ): Promise<LimitValueCounts> {
    const reading = await this.strategies.compile(reviewId, id, { tried: limits });
    const { database } = reading;
    const kind = limitKind(kindId);
    const own = ownField(kind, appliedIn(database));
    const field = kind.values === 'years' && kind.fields.length === 0 ? YEAR_INDEX : own;
    const listed = field === null ? [] : (database.description.limits[field] ?? []);
    const inWords = applyLimitWays(kindId, database) ? (kind.inWords ?? []) : [];
    const known =
      kind.values === 'yes'
        ? ['yes']
        : kind.strengths === true
          ? [...(kind.inWords ?? [])]
          : [...new Set([...listed, ...inWords])];
    const query = leftByOthers(reading, limitId);
    if (query === null) return { counted: null, known, hits: null };
    const { hits } = await this.counts.count(database, query);
    if (kind.strengths === true) {
      return { counted: await this.oneByOne(database, query, kindId, known), known, hits };
    }
    if (field === null) return { counted: null, known, hits };
    try {
      const { facets } = await this.counts.facets(database, query, { [field]: most });
      const values = facets[field] ?? null;
      return { counted: values, known, hits };
    } catch (error) {
      // A database that does not count by index still has its values.
      if (!(error instanceof ProblemException)) throw error;
      return { counted: null, known, hits };
    }
  }

  /** Values that no index of the database counts: each is counted as it would be applied. */
  private oneByOne(
    database: OpenDatabase,
    base: Query,
    kind: string,
    values: readonly string[],
  ): Promise<ValueCount[]> {
    return Promise.all(
      values.map(async (value) => {
        const limit = { kind, values: { kind: 'values' as const, values: [value] }, ways: {} };
        const { query } = applyLimit(limit, appliedIn(database));
        const counted =
          query === null ? null : await this.counts.count(database, { kind: 'and', operands: [base, query] });
        return { value, count: counted?.hits ?? 0 };
      }),
    );
  }
}

/** Whether a kind can be said in words here. */
function applyLimitWays(kind: string, database: OpenDatabase): boolean {
  const { ways } = applyLimit(
    { kind, values: { kind: 'values', values: [] }, ways: {} },
    appliedIn(database),
  );
  return ways.includes('words');
}

/** The strategy before its limits, as the database is told it, and what each limit makes of it. */
function profiled({ strategies: { sent }, limits, edits, database }: CompiledStrategy): Profiled {
  const line = sent.lines.find(({ kind }) => kind === 'whole');
  const whole = line === undefined ? null : standaloneQuery(line, sent.lines);
  const steps = profileQueries(
    whole ?? { kind: 'everything' },
    limits.map((read) => ({ query: read.sent, lacking: read.sent === null ? null : read.lacking })),
  );
  const written = limits.some(({ limit }) => edits.has(limitKey(limit.id)));
  const applied = written ? withWritten(sent.lines, limits, whole) : steps;
  return {
    whole,
    steps: applied.map((step, i) => ({
      ...step,
      compared: comparedAt(limits[i], applied[i - 1]?.remains ?? whole, database),
      against: againstFilter(limits[i], applied[i - 1]?.remains ?? whole, database),
    })),
  };
}

/** Labels and words are compared where a kind has both and words in several strengths. */
function comparedAt(
  read: CompiledStrategy['limits'][number] | undefined,
  before: Query | null,
  database: OpenDatabase,
): Compared | null {
  if (read === undefined || before === null || limitKind(read.limit.kind).strengths !== true) return null;
  const by = (way: 'own' | 'words') =>
    applyLimit({ ...read.limit, ways: { [database.id]: way } }, appliedIn(database));
  const [own, words] = [by('own'), by('words')];
  if (own.way !== 'own' || own.query === null || words.query === null) return null;
  const limited = (include: Query): Query => ({ kind: 'and', operands: [before, include] });
  return {
    ownOnly: { kind: 'not', include: limited(own.query), exclude: words.query },
    both: limited({ kind: 'and', operands: [own.query, words.query] }),
    wordsOnly: { kind: 'not', include: limited(words.query), exclude: own.query },
  };
}

/** Words of one's own against the filter that they take the place of. */
function againstFilter(
  read: CompiledStrategy['limits'][number] | undefined,
  before: Query | null,
  database: OpenDatabase,
): ProfiledStep['against'] {
  if (read === undefined || before === null || read.limit.values.kind !== 'values') return null;
  const { words: own, ...values } = read.limit.values;
  if (own === undefined) return null;
  const by = (chosen: LimitInUse['values']) =>
    applyLimit({ ...read.limit, values: chosen, ways: { [database.id]: 'words' } }, appliedIn(database))
      .query;
  const [mine, filter] = [by(read.limit.values), by(values)];
  if (mine === null || filter === null) return null;
  const limited = (include: Query): Query => ({ kind: 'and', operands: [before, include] });
  return {
    gained: { kind: 'not', include: limited(mine), exclude: filter },
    missed: { kind: 'not', include: limited(filter), exclude: mine },
  };
}

/** A line written by hand takes the place of its limit: what it leaves is known, what it alone loses is not. */
function withWritten(
  lines: CompiledStrategy['strategies']['sent']['lines'],
  limits: CompiledStrategy['limits'],
  whole: Query | null,
): StepQueries[] {
  let before: Query = whole ?? { kind: 'everything' };
  return limits.map(({ limit }): StepQueries => {
    const line = lines.find(({ limitId }) => limitId === limit.id);
    if (line === undefined) return { remains: before, lost: null, only: null, lacking: null };
    const remains = standaloneQuery(line, lines);
    const lost: Query = { kind: 'not', include: before, exclude: remains };
    before = remains;
    return { remains, lost, only: null, lacking: null };
  });
}

/** What the strategy finds within all limits but one; null where there is nothing to search. */
function leftByOthers(
  { strategies: { sent }, limits }: CompiledStrategy,
  except: string | null,
): Query | null {
  const line = sent.lines.find(({ kind }) => kind === 'whole');
  if (line === undefined) return null;
  const others = limits.flatMap(({ limit, sent: query }) => (limit.id === except ? [] : (query ?? [])));
  return { kind: 'and', operands: [standaloneQuery(line, sent.lines), ...others] };
}
