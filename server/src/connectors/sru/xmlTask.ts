/** Reads XML from outside in a worker thread. Loaded by path, not imported. */
import { parseXml, type XmlBounds, type XmlResult } from '@even-lantern/core';
import { readSearchAnswer, type SearchAnswerResult } from './searchAnswer.js';

export type XmlTask =
  { kind: 'answer'; text: string; withRecords: boolean } | { kind: 'xml'; text: string; bounds: XmlBounds };

export default function readXml(task: XmlTask): SearchAnswerResult | XmlResult {
  return task.kind === 'answer'
    ? readSearchAnswer(task.text, task.withRecords)
    : parseXml(task.text, task.bounds);
}
