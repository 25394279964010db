/** Queries as keys of what is remembered of them: short, however long they are. */
import { createHash } from 'node:crypto';
import { childrenOf, type Query } from '@even-lantern/core';

/** Queries never change, so what stands for one is made once, also where it is part of many others. */
const keys = new WeakMap<Query, string>();

/** The same for queries that are the same, part for part. */
export function queryKey(query: Query): string {
  const known = keys.get(query);
  if (known !== undefined) return known;
  const parts = childrenOf(query);
  const text = parts.length === 0 ? JSON.stringify(query) : joined(query, parts);
  const key = shortKey(text);
  keys.set(query, key);
  return key;
}

/** What is longer than its hash is known by that. */
export function shortKey(text: string): string {
  return text.length <= 64 ? text : createHash('sha256').update(text).digest('base64url');
}

/** Every part stands in the order that its query gives it; what else a query says stands before them. */
function joined(query: Query, parts: readonly Query[]): string {
  const keysOfParts = parts.map(queryKey).join('\n');
  switch (query.kind) {
    case 'and':
    case 'or':
    case 'not':
      return `${query.kind}\n${keysOfParts}`;
    default:
      return JSON.stringify(query);
  }
}
