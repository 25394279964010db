import type { EntityManager } from 'typeorm';
import { ElementRow, LaneRow, LimitRow, OwnLineRow, ShelfItemRow, TermRow } from '../store/entities.js';

/** What changes the strategy of a review, or what stands around it, by its address. */
const OF_REVIEW =
  /^\/api\/reviews\/([^/]+)(?:\/(?:terms|lanes|lanes\.json|strategy\.json|limits|own-lines|lines|concepts|shelf|ladder|accepted-findings|versions|undo|redo)(?:\/|$)|$)/;
const OF_PART = /^\/api\/(terms|lanes|elements|limits|own-lines|shelf)\/([^/]+)/;

/** The review that a request to a path changes; null for one that changes none, or what is not there. */
export async function changedReview(read: EntityManager, path: string): Promise<string | null> {
  const named = OF_REVIEW.exec(path)?.[1];
  if (named !== undefined) return named;
  const [, kind, id] = OF_PART.exec(path) ?? [];
  if (id === undefined) return null;
  switch (kind) {
    case 'terms': {
      const term = await read.findOneBy(TermRow, { id });
      return term === null ? null : ((await read.findOneBy(LaneRow, { id: term.laneId }))?.reviewId ?? null);
    }
    case 'lanes':
      return (await read.findOneBy(LaneRow, { id }))?.reviewId ?? null;
    case 'elements':
      return (await read.findOneBy(ElementRow, { id }))?.reviewId ?? null;
    case 'limits':
      return (await read.findOneBy(LimitRow, { id }))?.reviewId ?? null;
    case 'own-lines':
      return (await read.findOneBy(OwnLineRow, { id }))?.reviewId ?? null;
    case 'shelf':
      return (await read.findOneBy(ShelfItemRow, { id }))?.reviewId ?? null;
    default:
      return null;
  }
}
