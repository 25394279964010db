/** What an edit did, in a few words that go on from “Undone:”. */
import { limitText } from '../limits/index.js';
import { elementShape } from '../question/index.js';
import { describeTerm, nameOfLane } from '../strategy/index.js';
import { counted } from '../text/index.js';
import type { Thing, Things } from './editable.js';
import type { EditStep } from './editStep.js';

type Did = 'added' | 'took away' | 'changed';

/** One thing that was changed, with what stood there and what stands there. */
interface Done<T> {
  did: Did;
  before: T;
  after: T;
}

/**
 * Names the one thing that the edit was about: what it did besides, such as the terms that came with a lane, follows.
 * @param before and
 * @param after the states between which it lies, for the names of lanes
 */
export function stepInWords(step: EditStep, before: Things, after: Things): string {
  const done = <Kind extends Thing['kind']>(kind: Kind) =>
    step.changes.flatMap((change): Done<Extract<Thing, { kind: Kind }>>[] => {
      const [was, is] = [change.before, change.after] as (Extract<Thing, { kind: Kind }> | null)[];
      const thing = is ?? was;
      if (thing?.kind !== kind) return [];
      const did = was == null ? 'added' : is == null ? 'took away' : 'changed';
      return [{ did, before: was ?? thing, after: is ?? thing }];
    });
  const nameOf = (laneId: string) => laneName(laneId, before, after);
  if (done('framework').length > 0) return 'framed the question another way';
  return (
    lanesInWords(done('lane'), done('term'), nameOf) ??
    limitsInWords(done('limit')) ??
    ownLinesInWords(done('own line')) ??
    termsInWords(done('term'), done('shelf'), nameOf) ??
    shelfInWords(done('shelf')) ??
    elementsInWords(done('element')) ??
    textsInWords(done('text')) ??
    findingsInWords(done('finding')) ??
    linesForInWords(done('lines for')) ??
    ladderInWords(done('ladder')) ??
    movedInWords(step, before, nameOf)
  );
}

type Of<Kind extends Thing['kind']> = Done<Extract<Thing, { kind: Kind }>>[];

function lanesInWords(all: Of<'lane'>, terms: Of<'term'>, nameOf: (id: string) => string): string | null {
  // An element keeps a lane at least, so that an empty one comes where another ends, and goes where others come.
  const holds = ({ did, before, after }: Of<'lane'>[number]) =>
    did === 'changed' ||
    terms.some((term) =>
      did === 'added' ? term.after.laneId === after.id : term.before.laneId === before.id,
    );
  const lanes = all.some(holds) ? all.filter(holds) : all;
  const [lane] = lanes;
  if (lane === undefined) return null;
  if (lanes.length > 1) {
    const verb = lane.did === 'added' ? 'made' : lane.did === 'took away' ? 'ended' : 'changed';
    return `${verb} ${counted(lanes.length, 'lane')}`;
  }
  const { id } = lane.after;
  const came = terms.find(({ before, after }) => after.laneId === id && before.laneId !== id);
  const went = terms.find(({ before, after }) => before.laneId === id && after.laneId !== id);
  switch (lane.did) {
    case 'added':
      return came === undefined ? `made the lane ${nameOf(id)}` : `split ${nameOf(came.before.laneId)}`;
    case 'took away':
      return went === undefined
        ? `ended ${nameOf(id)}`
        : `joined ${nameOf(id)} to ${nameOf(went.after.laneId)}`;
    case 'changed':
      if (lane.before.leftOut !== lane.after.leftOut) {
        return `${lane.after.leftOut ? 'left out' : 'asked for'} ${nameOf(id)}`;
      }
      return `${lane.before.name === lane.after.name ? 'moved' : 'named'} ${nameOf(id)}`;
  }
}

function limitsInWords(limits: Of<'limit'>): string | null {
  const [limit] = limits;
  if (limit === undefined) return null;
  if (limits.length > 1) return `${limit.did} ${counted(limits.length, 'limit')}`;
  const { did, before, after } = limit;
  const verb = did === 'changed' ? switched(before.limit.on, after.limit.on) : did;
  return `${verb} ${limitText(after.limit)}`;
}

function ownLinesInWords(lines: Of<'own line'>): string | null {
  const [line] = lines;
  if (line === undefined) return null;
  const did = (verb: Did) => lines.filter((each) => each.did === verb).length;
  if (lines.length > 1) {
    if (did('added') === 0 && did('took away') === 1 && did('changed') > 0) return 'merged two lines';
    if (did('added') > 0 && did('took away') + did('changed') > 0) return 'split a line';
    return `${line.did} ${counted(lines.length, 'line')}`;
  }
  const { before, after } = line;
  if (line.did !== 'changed') return `${line.did} a line`;
  if (before.role !== after.role) return 'changed what a line does';
  return `${switched(before.on, after.on)} a line`;
}

function switched(before: boolean, after: boolean): string {
  if (before === after) return 'changed';
  return after ? 'switched on' : 'switched off';
}

function termsInWords(terms: Of<'term'>, shelf: Of<'shelf'>, nameOf: (id: string) => string): string | null {
  const [term] = terms;
  if (term === undefined) return null;
  const { did, before, after } = term;
  const [item] = shelf;
  if (item?.did === 'took away') return `moved ${item.before.name} into ${nameOf(after.laneId)}`;
  if (item?.did === 'added') return `moved ${item.after.name} to the shelf`;
  const text = terms.length === 1 ? describeTerm(after.content).text : `${terms.length} terms`;
  if (did !== 'changed') return `${did === 'added' ? 'added' : 'took out'} ${text}`;
  if (before.laneId !== after.laneId) return `moved ${text}`;
  if (before.heldBack !== after.heldBack) {
    return after.heldBack === null ? `searched ${text} again` : `held back ${text}`;
  }
  return `changed ${text}`;
}

function shelfInWords(shelf: Of<'shelf'>): string | null {
  const [item] = shelf;
  if (item === undefined) return null;
  const what = shelf.length === 1 ? item.after.name : `${shelf.length} items`;
  return item.did === 'took away' ? `took ${what} off the shelf` : `put ${what} on the shelf`;
}

function elementsInWords(elements: Of<'element'>): string | null {
  const [element] = elements;
  if (element === undefined) return null;
  if (elements.length > 1) return `changed ${counted(elements.length, 'element')}`;
  const { before, after } = element;
  const name = elementShape(after.key).name.toLowerCase();
  if (before.searched !== after.searched) {
    return after.searched ? `searched on ${name}` : `stopped searching on ${name}`;
  }
  return `wrote ${name}`;
}

function textsInWords(texts: Of<'text'>): string | null {
  const [text] = texts;
  if (text === undefined) return null;
  return text.did === 'took away' ? 'took what the lanes give' : 'wrote a line by hand';
}

function findingsInWords(findings: Of<'finding'>): string | null {
  const [finding] = findings;
  if (finding === undefined) return null;
  switch (finding.did) {
    case 'added':
      return 'accepted what a check found';
    case 'took away':
      return 'took an acceptance back';
    case 'changed':
      return 'gave another reason for what a check found';
  }
}

function linesForInWords([lines]: Of<'lines for'>): string | null {
  return lines === undefined ? null : `chose a line for each ${lines.after.linesFor}`;
}

function ladderInWords([ladder]: Of<'ladder'>): string | null {
  if (ladder === undefined) return null;
  return ladder.did === 'took away' ? 'went back to the proposed ladder' : 'changed the ladder';
}

/** Where nothing but an order changed. */
function movedInWords({ orders }: EditStep, before: Things, nameOf: (id: string) => string): string {
  const [order] = orders;
  const key = order?.after.find((each, i) => each !== order.before[i]);
  const thing = key === undefined ? undefined : before.things.get(key);
  switch (thing?.kind) {
    case 'lane':
      return `moved ${nameOf(thing.id)}`;
    case 'term':
      return `moved ${describeTerm(thing.content).text}`;
    case 'limit':
      return `moved ${limitText(thing.limit)}`;
    default:
      return 'moved a line';
  }
}

function laneName(id: string, before: Things, after: Things): string {
  for (const { things } of [after, before]) {
    const lane = things.get(`lane:${id}`);
    if (lane?.kind !== 'lane') continue;
    const element = lane.elementId === null ? undefined : things.get(`element:${lane.elementId}`);
    return nameOfLane(lane, element?.kind === 'element' ? element : null);
  }
  return 'a lane';
}
