/**
 * XML from outside, read within bounds of time, memory and elements. What is small is read at once; the rest in worker
 * threads, so that nobody else waits for it: each database has a thread and a queue of its own, so that one whose answers
 * take long holds up no other.
 */
import { parseXml, type XmlBounds, type XmlResult } from '@even-lantern/core';
import PQueue from 'p-queue';
import { OutOfMemory, WorkerPool } from '../../workers/workerPool.js';
import { readSearchAnswer, type SearchAnswerResult } from './searchAnswer.js';
import type { XmlTask } from './xmlTask.js';

export interface XmlParser {
  answer(text: string, withRecords: boolean): Promise<SearchAnswerResult>;
  xml(text: string): Promise<XmlResult>;
}

export interface XmlParsers {
  /** @param address of the database whose answers are read */
  of(address: string): XmlParser;
  close(): Promise<void>;
}

/** What is shorter takes a few milliseconds at most, which is less than handing it over. */
const SMALL = 32_000;
/** A description of a server or a list of words. */
const TREE_BOUNDS: XmlBounds = { elements: 50_000, depth: 100 };
const MOST_MS = 20_000;
const MOST_MEMORY_MB = 1024;

type XmlPool = WorkerPool<XmlTask, SearchAnswerResult | XmlResult>;

/** @param program path of the compiled `xmlTask` */
export function openXmlParsers(program: string): XmlParsers {
  const byAddress = new Map<string, { pool: XmlPool; parser: XmlParser }>();
  const open = () => {
    const pool: XmlPool = new WorkerPool(program, { memoryMb: MOST_MEMORY_MB });
    return { pool, parser: xmlParser(pool) };
  };
  return {
    of(address) {
      const known = byAddress.get(address) ?? open();
      byAddress.set(address, known);
      return known.parser;
    },
    close: async () => {
      await Promise.all([...byAddress.values()].map(({ pool }) => pool.close()));
    },
  };
}

function xmlParser(pool: XmlPool): XmlParser {
  const queue = new PQueue({ concurrency: 1 });
  // The time counts from where the work begins, not while it waits for its turn.
  const inWorker = (task: XmlTask) => queue.add(() => inTime(pool, task));
  return {
    answer: async (text, withRecords) =>
      text.length <= SMALL
        ? readSearchAnswer(text, withRecords)
        : ((await inWorker({ kind: 'answer', text, withRecords })) as SearchAnswerResult),
    xml: async (text) =>
      text.length <= SMALL
        ? parseXml(text, TREE_BOUNDS)
        : ((await inWorker({ kind: 'xml', text, bounds: TREE_BOUNDS })) as XmlResult),
  };
}

async function inTime(pool: XmlPool, task: XmlTask): Promise<SearchAnswerResult | XmlResult> {
  const signal = AbortSignal.timeout(MOST_MS);
  try {
    return await pool.run(task, { signal });
  } catch (error) {
    if (!signal.aborted && !(error instanceof OutOfMemory)) throw error;
    const why = signal.aborted
      ? `takes more than ${MOST_MS / 1000} seconds`
      : 'takes more memory than it may';
    return { ok: false, message: `The XML ${why} to read.` };
  }
}

const AT_ONCE: XmlParser = {
  answer: (text, withRecords) => Promise.resolve(readSearchAnswer(text, withRecords)),
  xml: (text) => Promise.resolve(parseXml(text)),
};

/** All at once, in this thread: for programs that have no workers. */
export const XML_AT_ONCE: XmlParsers = { of: () => AT_ONCE, close: () => Promise.resolve() };
