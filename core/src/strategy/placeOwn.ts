/** Where lines of people’s own stand among the others, and what keeps one from being a line. */
import { limitKey, ownKey, WHOLE_LINE, type EditedLine, type LineKey } from './edits.js';
import type { OwnPart } from './ownLines.js';

/**
 * Where a line of one’s own stands.
 * @param others all own lines in their order
 * @param behind the ids of those before it that stand behind the whole
 * @returns null for one that is switched off or empty, or why it cannot be a line
 */
export function placeOwn(
  { id, role, on, line, error }: OwnPart,
  {
    numbers,
    others,
    behind,
  }: { numbers: ReadonlyMap<LineKey, number>; others: readonly OwnPart[]; behind: readonly string[] },
): { line: EditedLine; behind: boolean } | string | null {
  if (!on) return null;
  if (error !== null) return `A line of your own cannot be read: ${error.message}`;
  if (line === null) return null;
  let isBehind = false;
  for (const key of Object.values(line.refersTo)) {
    if (numbers.has(key)) continue;
    if (key === ownKey(id)) return 'A line of your own refers to itself, so that nothing could be counted.';
    const other = others.find((each) => ownKey(each.id) === key);
    if (isWhole(key) || (other !== undefined && behind.includes(other.id))) {
      isBehind = true;
      continue;
    }
    if (other === undefined) {
      return 'A line of your own refers to a line that is not searched here, or is not there any more.';
    }
    if (!other.on) return 'A line of your own refers to a line that is switched off. Switch that on again.';
    if (leadsTo(other, id, others)) {
      return 'Lines of your own refer to each other in a circle, so that neither could be counted.';
    }
    return others.indexOf(other) > others.findIndex((each) => each.id === id)
      ? 'A line of your own refers to a line that stands behind it. Move it down, or that one up.'
      : 'A line of your own refers to a line that cannot be searched itself.';
  }
  if (isBehind && role !== 'looks') {
    return 'A line of your own takes part in the whole and refers to it, so that neither could be counted. Let it only look.';
  }
  return { line, behind: isBehind };
}

function isWhole(key: LineKey): boolean {
  return key === WHOLE_LINE || key.startsWith(limitKey(''));
}

/** Whether a line refers, through others, to the one of that id. */
function leadsTo(from: OwnPart, id: string, others: readonly OwnPart[]): boolean {
  const seen = new Set<string>();
  const open = [from];
  for (let part = open.pop(); part !== undefined; part = open.pop()) {
    if (seen.has(part.id)) continue;
    seen.add(part.id);
    for (const key of Object.values(part.line?.refersTo ?? {})) {
      if (key === ownKey(id)) return true;
      const next = others.find((each) => ownKey(each.id) === key);
      if (next !== undefined) open.push(next);
    }
  }
  return false;
}
