/**
 * Trials of what must never happen: an edit that was acknowledged and is gone, an entry that is half there, two runs of a
 * review at once. Server and stand-ins are killed at random moments while several people work; the store is locked by
 * another program, and its disk is full.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Ledger, Person, Problem, Review, Run, Schedule } from '@even-lantern/contract';
import Database from 'better-sqlite3';
import { startStack, type Stack } from '../stack.js';
import { asker, chanceOf, missing, newClient, type Ask, type Client } from './clients.js';

export interface TrialResult {
  kills: number;
  acknowledged: number;
  /** what was acknowledged and is not there, or is not as it should be; nothing when all is well */
  missing: string[];
  /** answers other than success, by status */
  refused: Record<string, number>;
}

const CLIENTS = 4;
/** What a nearly full disk still has room for. */
const LEFT_BYTES = 300_000;

/** Several people edit and run while server and stand-ins are killed. */
export async function killTrial(kills: number, seed: number): Promise<TrialResult> {
  const chance = chanceOf(seed);
  const stack = await startStack();
  try {
    const ask = await askerOf(stack);
    const clients: Client[] = [];
    for (let i = 0; i < CLIENTS; i += 1) {
      clients.push(await newClient(ask, `Trial ${i}`, chanceOf(seed * 100 + i)));
    }
    let going = true;
    const working = clients.map(async ({ step }) => {
      while (going) {
        await step();
        await pause(5);
      }
    });
    for (let i = 0; i < kills; i += 1) {
      await pause(50 + chance() * 500);
      await stack.killAndStart(chance() < 0.15 ? 'stand-ins' : 'server');
    }
    going = false;
    await Promise.all(working);
    await pauseSchedules(ask, clients);
    await allEnded(ask, clients);
    return await resultOf(ask, clients, kills);
  } finally {
    await stack.stop();
  }
}

/** Many runs and edits at the very same moment: one run to a review, and no edit lost. */
export async function rushTrial(stack: Stack): Promise<string[]> {
  const ask = await askerOf(stack);
  const found: string[] = [];
  const clients: Client[] = [];
  for (let i = 0; i < CLIENTS; i += 1) clients.push(await newClient(ask, `Rush ${i}`, chanceOf(i)));
  const ids = clients.map(({ remembered }) => remembered.review);
  for (const id of ids) await addWord(ask, id, 'light');
  const answers = await Promise.all(
    ids.flatMap((id) => [
      ...Array.from({ length: 10 }, () =>
        ask('POST', `/reviews/${id}/runs`, { database: 'corvane', timeZone: 'UTC' }),
      ),
      ...Array.from({ length: 10 }, (_, i) => addWord(ask, id, `rush${i}`)),
    ]),
  );
  const odd = answers.filter((answer) => answer === null || ![201, 409].includes(answer.status));
  if (odd.length > 0) found.push(`${odd.length} answers of another kind: ${JSON.stringify(odd[0]?.body)}`);
  await allEnded(ask, clients);
  for (const id of ids) {
    const review = (await ask('GET', `/reviews/${id}`))?.body as Review;
    const terms = review.lanes.flatMap((lane) => lane.terms).length;
    if (terms !== 11) found.push(`${terms} terms of 11`);
    const { seal, brokenAt } = (await ask('GET', `/reviews/${id}/ledger`))?.body as Ledger;
    const started = answers.filter(
      (answer) =>
        answer?.status === 201 &&
        (answer.body as Partial<Run>).reviewId === id &&
        'hits' in (answer.body as Run),
    ).length;
    if (seal.entries !== started || brokenAt !== null) found.push(`${seal.entries} entries of ${started}`);
  }
  return found;
}

/**
 * The store is locked by another program for so long: what is asked meanwhile waits, or is told in a sentence; reading
 * and health go on; afterwards all is as acknowledged.
 */
export async function lockTrial(stack: Stack, seconds: number): Promise<string[]> {
  const found: string[] = [];
  const ask = await askerOf(stack);
  const { remembered } = await newClient(ask, 'Locked', chanceOf(1));
  const other = new Database(join(stack.data, 'even-lantern.sqlite'));
  other.exec('BEGIN IMMEDIATE');
  const first = addWord(ask, remembered.review, 'first');
  await pause(200);
  const from = performance.now();
  const healthy = await ask('GET', '/health');
  if (healthy?.status !== 200 || performance.now() - from > 1500)
    found.push('health while the store is locked');
  const told = await first;
  if (told?.status !== 503) found.push(`a sentence after ten seconds: ${JSON.stringify(told)}`);
  else if (!(told.body as Problem).title.includes('Another program holds the store'))
    found.push('the sentence');
  const waiting = addWord(ask, remembered.review, 'waiting');
  await pause(Math.max(0, seconds * 1000 - (performance.now() - from)));
  other.exec('COMMIT');
  other.close();
  if ((await waiting)?.status !== 201) found.push('the edit that waited');
  if ((await addWord(ask, remembered.review, 'after'))?.status !== 201) found.push('the edit afterwards');
  const words = await wordsOf(ask, remembered.review);
  if (words.join() !== 'waiting,after') found.push(`words: ${words.join()}`);
  return found;
}

/**
 * The disk is full: what cannot be saved is refused in a sentence, a run that cannot go on is closed when there is room,
 * and what was acknowledged stays.
 * @returns null where no small disk can be made, for want of rights
 */
export async function fullDiskTrial(): Promise<string[] | null> {
  const data = mkdtempSync(join(tmpdir(), 'even-lantern-full-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=12m', 'tmpfs', data], { stdio: 'ignore' });
  } catch {
    return null;
  }
  const found: string[] = [];
  try {
    const stack = await startStack({ data });
    try {
      const person = await personOf(stack);
      const ask = asker(stack.address, person);
      const { remembered } = await newClient(ask, 'Full', chanceOf(1));
      const acknowledged: string[] = [];
      const { bavail, bsize } = statfsSync(data);
      writeFileSync(join(data, 'ballast'), Buffer.alloc(Math.max(0, bavail * bsize - LEFT_BYTES), 1));
      let refusal: Problem | null = null;
      for (let i = 0; refusal === null && i < 1000; i += 1) {
        const word = `${i}-${'x'.repeat(900)}`;
        const answer = await addWord(ask, remembered.review, word);
        if (answer?.status === 201) acknowledged.push(word);
        else refusal = answer?.body as Problem;
      }
      if (refusal?.title !== 'The disk that holds the store is full.')
        found.push(`the sentence: ${JSON.stringify(refusal)}`);
      if ((await ask('GET', '/health'))?.status !== 200) found.push('health while the disk is full');
      const sent = await fetch(`${stack.address}/api/packages`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/zip', 'el-person': person },
        body: new Uint8Array(LEFT_BYTES * 8),
      }).catch((error: unknown) => ({ status: String(error) }));
      if (sent.status !== 507) found.push(`a package while the disk is full: ${sent.status}`);
      await ask('POST', `/reviews/${remembered.review}/runs`, { database: 'corvane', timeZone: 'UTC' });
      rmSync(join(data, 'ballast'), { force: true });
      if ((await addWord(ask, remembered.review, 'after'))?.status !== 201) found.push('the edit afterwards');
      const words = await wordsOf(ask, remembered.review);
      const lost = [...acknowledged, 'after'].filter((word) => !words.includes(word));
      if (lost.length > 0) found.push(`${lost.length} words that were acknowledged`);
    } finally {
      await stack.stop();
    }
  } finally {
    execFileSync('umount', [data]);
    rmSync(data, { recursive: true, force: true });
  }
  return found;
}

async function personOf({ address }: Stack): Promise<string> {
  return ((await asker(address, '')('POST', '/people', { name: 'Trier' }))?.body as Person).id;
}

async function askerOf(stack: Stack): Promise<Ask> {
  return asker(stack.address, await personOf(stack));
}

async function addWord(ask: Ask, review: string, text: string) {
  const { elements, lanes } = (await ask('GET', `/reviews/${review}`))?.body as Review;
  const searched = elements.find((element) => element.searched)?.id;
  const laneId = lanes.find(({ elementId }) => elementId === searched)?.id;
  const content = { kind: 'words', text, field: 'words', near: null };
  return ask('POST', `/reviews/${review}/terms`, { laneId, origin: 'typed', content });
}

async function wordsOf(ask: Ask, review: string): Promise<string[]> {
  const { lanes } = (await ask('GET', `/reviews/${review}`))?.body as Review;
  return lanes.flatMap(({ terms }) =>
    terms.flatMap(({ content }) => (content.kind === 'words' ? [content.text] : [])),
  );
}

/** From here on nothing begins by itself. */
async function pauseSchedules(ask: Ask, clients: readonly Client[]): Promise<void> {
  for (const { remembered } of clients) {
    const schedules = (await ask('GET', `/reviews/${remembered.review}/schedules`))?.body as Schedule[];
    for (const { id, version } of schedules)
      await ask('PATCH', `/schedules/${id}`, { state: 'paused' }, version);
  }
  // What was begun at that very moment is seen by then.
  await pause(1000);
}

/** Waits until no run goes on. */
async function allEnded(ask: Ask, clients: readonly Client[]): Promise<void> {
  for (const { remembered } of clients) {
    for (let tries = 0; tries < 300; tries += 1) {
      const ledger = (await ask('GET', `/reviews/${remembered.review}/ledger`))?.body as Ledger | undefined;
      if (ledger?.running.length === 0) break;
      await pause(100);
    }
  }
}

async function resultOf(ask: Ask, clients: readonly Client[], kills: number): Promise<TrialResult> {
  const result: TrialResult = { kills, acknowledged: 0, missing: [], refused: {} };
  for (const { remembered } of clients) {
    result.acknowledged += remembered.acknowledged;
    result.missing.push(...(await missing(ask, remembered)));
    for (const [status, times] of remembered.refused) {
      result.refused[status] = (result.refused[status] ?? 0) + times;
    }
  }
  return result;
}
