import { counted, formatCount, type ElsewhereContent, type RunContent } from '@even-lantern/core';

export function fileText({ name, bytes, records }: NonNullable<ElsewhereContent['file']>): string {
  return `${counted(records, 'record')}, in ${name} (${formatCount(bytes)} bytes)`;
}

export function hits({ hits: count }: RunContent): string {
  return count === null ? 'not counted' : `${formatCount(count)} hits`;
}
