/** People at work while everything goes wrong: each edits and runs a review, and remembers what was acknowledged. */
import { setTimeout as pause } from 'node:timers/promises';
import { isRun, type LedgerFile } from '@even-lantern/core';
import type { Ledger, Run, Review, StartedRuns } from '@even-lantern/contract';

/** A seeded source of chance: the same seed gives the same trial, as far as the machine lets it. */
export function chanceOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

export interface Answer {
  status: number;
  body: unknown;
}

/** A request that the server may be killed under; null where no answer came. */
export type Ask = (method: string, path: string, body?: object, version?: number) => Promise<Answer | null>;

export function asker(address: string, person: string): Ask {
  return async (method, path, body, version) => {
    try {
      const response = await fetch(`${address}/api${path}`, {
        method,
        headers: {
          'Content-Type': 'application/json',
          'el-person': person,
          ...(version === undefined ? {} : { 'If-Match': `"${version}"` }),
        },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
      return { status: response.status, body: await response.json() };
    } catch {
      // It is being started again, and not sooner for being asked at every moment.
      await pause(60);
      return null;
    }
  };
}

/** What a client was told, and what the review must hold at the end. */
export interface Remembered {
  review: string;
  /** words of terms, by id: those that were acknowledged */
  terms: Map<string, string>;
  /** an element's text: the last that was acknowledged, and those sent since without an answer */
  texts: Map<string, { acknowledged: string; unsure: string[] }>;
  /** lines written by hand, likewise */
  lines: Map<string, { acknowledged: string; unsure: string[] }>;
  /** reasons of limits, likewise */
  limits: Map<string, { acknowledged: string; unsure: string[] }>;
  /** notes of lines of their own, likewise */
  ownLines: Map<string, { acknowledged: string; unsure: string[] }>;
  /** runs whose start was acknowledged */
  runs: Set<string>;
  /** notes in the ledger, likewise */
  notes: Set<string>;
  /** whether a search is to be run again in the next minute */
  scheduled: boolean;
  acknowledged: number;
  refused: Map<number, number>;
}

export interface Client {
  remembered: Remembered;
  /** makes one edit or run */
  step(): Promise<void>;
}

/** Limits that a client adds before it only changes them. */
const MOST_LIMITS = 5;
const MOST_OWN = 5;
const WORDS = ['light', 'night', 'shift', 'nurse', 'sleep', 'lamp', 'ward', 'fatigue', 'alertness', 'roster'];

export async function newClient(ask: Ask, title: string, chance: () => number): Promise<Client> {
  const review = (await ask('POST', '/reviews', { title }))?.body as Review;
  const elements = review.elements.map(({ id }) => id);
  const searched = review.elements.find((element) => element.searched)?.id ?? '';
  const lane = review.lanes.find(({ elementId }) => elementId === searched)?.id ?? '';
  for (const other of review.elements.filter((element) => element.searched && element.id !== searched)) {
    await ask('PATCH', `/elements/${other.id}`, { searched: false }, other.version);
  }
  const remembered: Remembered = {
    review: review.id,
    terms: new Map(),
    texts: new Map(),
    lines: new Map(),
    limits: new Map(),
    ownLines: new Map(),
    runs: new Set(),
    notes: new Set(),
    scheduled: false,
    acknowledged: 0,
    refused: new Map(),
  };
  let made = 0;
  const pick = <T>(from: readonly T[]): T => from[Math.floor(chance() * from.length)] as T;
  const told = (answer: Answer | null): answer is Answer => {
    if (answer === null) return false;
    if (answer.status < 300) {
      remembered.acknowledged += 1;
      return true;
    }
    remembered.refused.set(answer.status, (remembered.refused.get(answer.status) ?? 0) + 1);
    return false;
  };

  const addTerm = async () => {
    const text = `${pick(WORDS)}${made}`;
    const content = { kind: 'words', text, field: 'words', near: null };
    const answer = await ask('POST', `/reviews/${review.id}/terms`, {
      laneId: lane,
      origin: 'typed',
      content,
    });
    if (told(answer)) remembered.terms.set((answer.body as { id: string }).id, text);
  };
  const write = async () => {
    const now = (await ask('GET', `/reviews/${review.id}`))?.body as Review | undefined;
    const element = now?.elements.find(({ id }) => id === pick(elements));
    if (element === undefined) return;
    await overwrite(remembered.texts, element.id, `text ${made}`, (text) =>
      ask('PATCH', `/elements/${element.id}`, { text }, element.version),
    );
  };
  const writeLine = async () => {
    const lines = (await ask('GET', `/reviews/${review.id}/translation?database=corvane`))?.body as
      { lines?: { key: string; version: number }[] } | undefined;
    const version = lines?.lines?.find(({ key }) => key === 'whole')?.version;
    if (version === undefined) return;
    const change = { database: 'corvane', line: 'whole', language: 'cql', version };
    await overwrite(
      remembered.lines,
      'whole',
      `el.words = "${pick(WORDS)}" or el.title = "made${made}"`,
      (text) => ask('PUT', `/reviews/${review.id}/lines`, { ...change, text }),
    );
  };
  /** A few limits are added, and then their reasons written anew. */
  const limit = async () => {
    const reason = `reason ${made}`;
    if (remembered.limits.size < MOST_LIMITS) {
      const values = { kind: 'years', from: 1990 + made, to: null };
      const limits = [{ kind: 'years', values, reason, on: made % 2 === 0, ways: {} }];
      const answer = await ask('POST', `/reviews/${review.id}/limits`, { limits });
      const [added] = told(answer) ? (answer.body as { id: string }[]) : [];
      if (added !== undefined) remembered.limits.set(added.id, { acknowledged: reason, unsure: [] });
      return;
    }
    const now = (await ask('GET', `/reviews/${review.id}`))?.body as Review | undefined;
    const present = now?.limits.find(({ id }) => id === pick([...remembered.limits.keys()]));
    if (present === undefined) return;
    await overwrite(remembered.limits, present.id, reason, (text) =>
      ask('PATCH', `/limits/${present.id}`, { reason: text }, present.version),
    );
  };
  /** A few lines are added, refer to each other, and then their notes are written anew. */
  const ownLine = async () => {
    const note = `note ${made}`;
    const known = [...remembered.ownLines.keys()];
    if (known.length < MOST_OWN) {
      const text =
        known.length === 0 ? 'light' : `cql.resultSetId = "own:${pick(known)}" or "${pick(WORDS)}"`;
      const lines = [{ role: pick(['looks', 'adds', 'leavesOut']), text, note }];
      const answer = await ask('POST', `/reviews/${review.id}/own-lines`, { lines, before: null });
      const [added] = told(answer) ? (answer.body as { id: string }[]) : [];
      if (added !== undefined) remembered.ownLines.set(added.id, { acknowledged: note, unsure: [] });
      return;
    }
    const now = (await ask('GET', `/reviews/${review.id}`))?.body as Review | undefined;
    const present = now?.ownLines.find(({ id }) => id === pick(known));
    if (present === undefined) return;
    await overwrite(remembered.ownLines, present.id, note, (text) =>
      ask('PATCH', `/own-lines/${present.id}`, { note: text }, present.version),
    );
  };
  const overwrite = async (
    kept: Remembered['texts'],
    key: string,
    text: string,
    send: (text: string) => Promise<Answer | null>,
  ) => {
    const known = kept.get(key) ?? { acknowledged: '', unsure: [] };
    kept.set(key, known);
    known.unsure.push(text);
    if (told(await send(text))) kept.set(key, { acknowledged: text, unsure: [] });
  };
  const run = async () => {
    if (chance() < 0.8) {
      const answer = await ask('POST', `/reviews/${review.id}/runs`, {
        database: 'corvane',
        timeZone: 'UTC',
      });
      if (told(answer)) remembered.runs.add((answer.body as Run).id);
      return;
    }
    const databases = ['corvane', 'skein'];
    const answer = await ask('POST', `/reviews/${review.id}/runs/together`, { databases, timeZone: 'UTC' });
    if (told(answer)) for (const { id } of (answer.body as StartedRuns).started) remembered.runs.add(id);
  };
  /** Notes about the first entry, and once a schedule that is due in the next minute. */
  const note = async () => {
    const text = `noted ${made}`;
    const answer = await ask('POST', `/reviews/${review.id}/ledger/notes`, {
      about: 1,
      text,
      timeZone: 'UTC',
    });
    if (told(answer)) remembered.notes.add(text);
    if (remembered.scheduled || answer?.status !== 201) return;
    const time = new Date(Date.now() + 60_000).toISOString().slice(11, 16);
    const daily = { every: 'day', weekday: 1, day: 1, time, timeZone: 'UTC', entries: [1] };
    remembered.scheduled = told(await ask('POST', `/reviews/${review.id}/schedules`, daily));
  };

  return {
    remembered,
    async step() {
      made += 1;
      const which = chance();
      if (which < 0.42) await addTerm();
      else if (which < 0.62) await write();
      else if (which < 0.75) await writeLine();
      else if (which < 0.83) await limit();
      else if (which < 0.89) await ownLine();
      else if (which < 0.94) await note();
      else await run();
    },
  };
}

/** What does not agree with what was acknowledged, in words; nothing when all does. */
export async function missing(
  ask: Ask,
  { review: id, terms, texts, lines, limits, ownLines, notes, runs }: Remembered,
): Promise<string[]> {
  const found: string[] = [];
  const review = (await ask('GET', `/reviews/${id}`))?.body as Review;
  const present = new Map(review.lanes.flatMap((lane) => lane.terms.map((term) => [term.id, term])));
  for (const [term, text] of terms) {
    const content = present.get(term)?.content;
    if (content?.kind !== 'words' || content.text !== text) found.push(`the term ${text} (${term})`);
  }
  for (const [element, { acknowledged, unsure }] of texts) {
    const text = review.elements.find((each) => each.id === element)?.text ?? '';
    if (![acknowledged, ...unsure].includes(text)) found.push(`the text “${acknowledged}”: it is “${text}”`);
  }
  for (const [limit, { acknowledged, unsure }] of limits) {
    const reason = review.limits.find((each) => each.id === limit)?.reason ?? '';
    if (![acknowledged, ...unsure].includes(reason))
      found.push(`the reason “${acknowledged}”: it is “${reason}”`);
  }
  for (const [line, { acknowledged, unsure }] of ownLines) {
    const note = review.ownLines.find((each) => each.id === line)?.note ?? '';
    if (![acknowledged, ...unsure].includes(note)) found.push(`the note “${acknowledged}”: it is “${note}”`);
  }
  const translation = (await ask('GET', `/reviews/${id}/translation?database=corvane`))?.body as {
    lines: { key: string; written: { text: string } | null }[];
  };
  for (const [key, { acknowledged, unsure }] of lines) {
    const text = translation.lines.find((line) => line.key === key)?.written?.text ?? '';
    if (![acknowledged, ...unsure].includes(text)) found.push(`the line “${acknowledged}”: it is “${text}”`);
  }
  const ledger = (await ask('GET', `/reviews/${id}/ledger`))?.body as Ledger;
  if (ledger.brokenAt !== null) found.push(`the chain: it is broken at ${ledger.brokenAt}`);
  const kept = (await ask('GET', `/reviews/${id}/ledger.json`))?.body as LedgerFile;
  const noted = new Set(kept.entries.map(({ content }) => ('text' in content ? content.text : '')));
  for (const text of notes) if (!noted.has(text)) found.push(`the note in the ledger “${text}”`);
  const byItself = kept.entries.filter(
    ({ content }) =>
      isRun(content) && content.purpose === 'Run on schedule' && content.outcome === 'complete',
  );
  if (byItself.length > 1) found.push(`one time of a schedule: it was run ${byItself.length} times`);
  for (const { id: open } of ledger.running) found.push(`the end of the run ${open}`);
  if (ledger.seal.entries < runs.size) found.push(`entries: ${ledger.seal.entries} of ${runs.size}`);
  for (const run of runs) {
    const state = (await ask('GET', `/runs/${run}`))?.body as Run;
    if (!['complete', 'interrupted'].includes(state.status)) found.push(`the run ${run}: ${state.status}`);
  }
  return found;
}
