/** What would bring a strategy nearer to a number that people can bear, to try and to take back. */
import { describeTerm, searchedTerms, type Lane, type OwnLine, type Term } from '../strategy/index.js';
import type { NamedMend } from './check.js';

/** How many records a person can bear to read at most, and needs at least; null where that is open. */
export interface Bearable {
  least: number | null;
  most: number | null;
}

/** Whether a number is too few, too many, or bearable. */
export function bearing(count: number, { least, most }: Bearable): 'too few' | 'too many' | 'bearable' {
  if (most !== null && count > most) return 'too many';
  return least !== null && count < least ? 'too few' : 'bearable';
}

/** Terms of a lane that are looked at, those that bring most first. */
const LOOKED_AT = 3;
const NEAR = 3;

/**
 * Changes that let a strategy find less.
 * @param adds what each term brings to its lane, by its id
 */
export function tightenings(lanes: readonly Lane[], adds: Readonly<Record<string, number>>): NamedMend[] {
  return lanes
    .filter(({ leftOut }) => !leftOut)
    .flatMap((lane) =>
      most(lane, adds).flatMap((term): NamedMend[] => {
        const { id, content } = term;
        const name = describeTerm(content).text;
        const change = (text: string, changed: Term['content']): NamedMend => ({
          text,
          mend: { kind: 'changeTerm', termId: id, content: changed },
        });
        const removal: NamedMend[] =
          searchedTerms(lane).length > 1
            ? [{ text: `Take out ${name}`, mend: { kind: 'removeTerm', termId: id } }]
            : [];
        if (content.kind === 'heading') {
          return [
            ...(content.narrower === false
              ? []
              : [change(`${name} without narrower`, { ...content, narrower: false })]),
            ...(content.central ? [] : [change(`${name} only where central`, { ...content, central: true })]),
            ...removal,
          ];
        }
        return [
          ...(content.field === 'title'
            ? []
            : [change(`${name} in the title only`, { ...content, field: 'title' })]),
          ...(content.near === null ? [] : [change(`${name} as a phrase`, { ...content, near: null })]),
          ...removal,
        ];
      }),
    );
}

/** Changes that let a strategy find more. */
export function relaxations(lanes: readonly Lane[], own: readonly OwnLine[]): NamedMend[] {
  const ofLanes = lanes.flatMap((lane): NamedMend[] => {
    if (lane.leftOut) {
      return [{ text: `Do not leave out “${lane.name}”`, mend: { kind: 'keepLane', laneId: lane.id } }];
    }
    return searchedTerms(lane).flatMap(({ id, content }): NamedMend[] => {
      const name = describeTerm(content).text;
      const change = (text: string, changed: Term['content']): NamedMend => ({
        text,
        mend: { kind: 'changeTerm', termId: id, content: changed },
      });
      if (content.kind === 'heading') {
        return [
          ...(content.narrower === true
            ? []
            : [change(`${name} with narrower`, { ...content, narrower: true })]),
          ...(content.central
            ? [change(`${name} also where not central`, { ...content, central: false })]
            : []),
        ];
      }
      const words = content.text.replaceAll('"', '').trim().split(/\s+/).length;
      return [
        ...(content.field === 'title'
          ? [change(`${name} in abstract and keywords too`, { ...content, field: 'words' })]
          : []),
        ...(content.near === null && words > 1
          ? [change(`${name} within ${NEAR} words`, { ...content, near: NEAR })]
          : []),
      ];
    });
  });
  const ofOwn = own
    .filter(({ on, role }) => on && (role === 'narrows' || role === 'leavesOut'))
    .map(({ id, role }): NamedMend => ({
      text:
        role === 'narrows' ? 'Let the narrowing line only look' : 'Let the line that leaves out only look',
      mend: { kind: 'ownRole', ownId: id, role: 'looks' },
    }));
  return [...ofLanes, ...ofOwn];
}

function most(lane: Lane, adds: Readonly<Record<string, number>>): Term[] {
  return [...searchedTerms(lane)].sort((a, b) => (adds[b.id] ?? 0) - (adds[a.id] ?? 0)).slice(0, LOOKED_AT);
}
