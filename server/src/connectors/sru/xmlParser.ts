/**
 * XML from outside, read within bounds of time, memory and elements. What is small is read at once; the rest in worker
 * threads, so that nobody else waits for it.
 */
import { parseXml, type XmlBounds, type XmlResult } from '@even-lantern/core';
import { OutOfMemory, WorkerPool } from '../../workers/workerPool.js';
import { readSearchAnswer, type SearchAnswerResult } from './searchAnswer.js';
import type { XmlTask } from './xmlTask.js';

export interface XmlParser {
  answer(text: string, withRecords: boolean): Promise<SearchAnswerResult>;
  xml(text: string): Promise<XmlResult>;
  close(): Promise<void>;
}

/** What is shorter takes a few milliseconds at most, which is less than handing it over. */
const SMALL = 32_000;
/** A description of a server or a list of words. */
const TREE_BOUNDS: XmlBounds = { elements: 50_000, depth: 100 };
const MOST_MS = 20_000;
const MOST_MEMORY_MB = 1024;

/** @param program path of the compiled `xmlTask` */
export function openXmlParser(program: string): XmlParser {
  const pool = new WorkerPool<XmlTask, SearchAnswerResult | XmlResult>(program, {
    threads: 2,
    memoryMb: MOST_MEMORY_MB,
  });
  const inWorker = async (task: XmlTask): Promise<SearchAnswerResult | XmlResult> => {
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
  };
  return {
    answer: async (text, withRecords) =>
      text.length <= SMALL
        ? readSearchAnswer(text, withRecords)
        : ((await inWorker({ kind: 'answer', text, withRecords })) as SearchAnswerResult),
    xml: async (text) =>
      text.length <= SMALL
        ? parseXml(text, TREE_BOUNDS)
        : ((await inWorker({ kind: 'xml', text, bounds: TREE_BOUNDS })) as XmlResult),
    close: () => pool.close(),
  };
}

/** All at once, in this thread: for programs that have no workers. */
export const XML_AT_ONCE: XmlParser = {
  answer: (text, withRecords) => Promise.resolve(readSearchAnswer(text, withRecords)),
  xml: (text) => Promise.resolve(parseXml(text)),
  close: () => Promise.resolve(),
};
