/** What is kept of an entry beside its content, so that lists are read and narrowed without reading every entry. */
import { appliedLimits, isRun, textKey, type LedgerContent } from '@even-lantern/core';
import type { KeptSummary } from '../store/entities.js';

function summaryOf(content: LedgerContent): KeptSummary {
  const none = {
    database: null,
    release: '',
    outcome: null,
    reason: null,
    lines: 0,
    hits: null,
    fetched: 0,
    limits: [],
    purpose: '',
    about: null,
  };
  if (isRun(content)) {
    const { database, release, outcome, reason, hits, fetched, limits = [], purpose = '' } = content;
    return {
      kind: 'run',
      at: content.startedAt,
      by: content.ranBy,
      title: content.databaseName,
      database,
      release,
      outcome,
      reason,
      lines: content.lines.length,
      hits,
      fetched,
      limits: appliedLimits(limits),
      purpose,
      about: content.repeats?.entry ?? null,
    };
  }
  const common = { ...none, kind: content.kind, at: content.at, by: content.by };
  switch (content.kind) {
    case 'note':
      return { ...common, title: content.text, about: content.about.entry };
    case 'correction': {
      const { what, was, is, about } = content;
      return { ...common, title: `${what}: ${was === '' ? '' : `${was} → `}${is}`, about: about.entry };
    }
    case 'elsewhere': {
      const { place, count, way, file } = content;
      return { ...common, title: place, hits: count, fetched: file?.records ?? 0, purpose: way };
    }
  }
}

/** What an entry's row tells of its content, for lists. */
export function listedOf(content: LedgerContent) {
  const summary = summaryOf(content);
  const { kind, database, outcome, about } = summary;
  return { kind, database, outcome, about, summary, words: searchedWords(content) };
}

/** The words by which an entry is found, folded as searches fold them. */
function searchedWords(content: LedgerContent): string {
  const words = isRun(content)
    ? [
        content.databaseName,
        content.release,
        content.ranBy,
        content.purpose ?? '',
        content.note ?? '',
        content.reason ?? '',
        ...content.lines.flatMap(({ description, string }) => [description, string]),
        ...(content.limits ?? []).flatMap(({ limit, reason }) => [limit, reason]),
        ...(content.remarks ?? []),
      ]
    : [content.by, content.text, ...ofKind(content)];
  return textKey(words.join('\n'));
}

function ofKind(content: Exclude<LedgerContent, { kind?: 'run' }>): string[] {
  switch (content.kind) {
    case 'note':
      return [];
    case 'correction':
      return [content.what, content.was, content.is];
    case 'elsewhere':
      return [content.way, content.place, content.string, content.file?.name ?? ''];
  }
}
