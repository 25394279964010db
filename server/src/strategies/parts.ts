/** What takes part in the whole of a review’s strategy. */
import { lineKeyOf, standaloneQuery, type JoinedPart, type Line, type LineKey } from '@even-lantern/core';
import type { ReviewOwnLine } from '@even-lantern/contract';
import type { ReviewLane } from '../reviews/reviewsService.js';

/** A lane that is searched, or a line of one’s own that takes part in the whole, with what it finds. */
export interface PartOfLine extends JoinedPart {
  key: LineKey;
  laneId: string | null;
  elementId: string | null;
  ownId: string | null;
}

export function partsOfLines(
  lanes: readonly ReviewLane[],
  ownLines: readonly ReviewOwnLine[],
  lines: readonly Line[],
): PartOfLine[] {
  return lines.flatMap((line): PartOfLine[] => {
    const common = { key: lineKeyOf(line), query: standaloneQuery(line, lines) };
    const lane = lanes.find(({ id }) => id === line.laneId);
    if (line.kind === 'lane' && lane !== undefined) {
      const role = lane.leftOut ? 'leavesOut' : 'narrows';
      return [{ ...common, laneId: lane.id, elementId: lane.element?.id ?? null, ownId: null, role }];
    }
    const role = ownLines.find(({ id }) => line.kind === 'own' && id === line.ownId)?.role ?? 'looks';
    return role === 'looks' ? [] : [{ ...common, laneId: null, elementId: null, ownId: line.ownId, role }];
  });
}
