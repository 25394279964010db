import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { LineText } from '@even-lantern/core';
import type { LineTextChange, Person } from '@even-lantern/contract';
import { soonAfter } from '../edits/soonAfter.js';
import { changedMeanwhile } from '../http/problem.js';
import { PeopleService } from '../people/people.js';
import { LineTextRow } from '../store/entities.js';
import { Store } from '../store/store.js';

/** A line as it was written last, and by whom. */
export interface WrittenLine extends LineText {
  /** how often the line has been written or taken back, so that nobody overwrites what they have not seen */
  version: number;
  at: string;
  person: string;
}

/** Writing that goes on within this time of the last is one state of a line. */
const ONE_STATE_MS = 30_000;

/** Lines as people wrote them by hand. Earlier states stay; the latest of a line counts. */
@Injectable()
export class LineTextsService {
  constructor(
    private readonly store: Store,
    private readonly people: PeopleService,
  ) {}

  /** Those of a review in a database that hold now; what was taken back to the lanes is left out. */
  async of(reviewId: string, database: string): Promise<WrittenLine[]> {
    const rows = await this.latest(reviewId, database);
    if (rows.length === 0) return [];
    const nameOf = await this.people.namesOf(rows.map(({ personId }) => personId));
    return rows.flatMap(({ line, language, text, refersTo, version, at, personId }) =>
      text === null
        ? []
        : [
            {
              line,
              language: language === 'cql' ? 'cql' : 'own',
              text,
              refersTo,
              version,
              at,
              person: nameOf(personId),
            },
          ],
    );
  }

  /** The version of each line that was ever written. */
  async versions(reviewId: string, database: string): Promise<ReadonlyMap<string, number>> {
    const rows = await this.latest(reviewId, database);
    return new Map(rows.map(({ line, version }) => [line, version]));
  }

  /**
   * Writes a line, or takes it back to what the lanes give.
   * @returns how often it has been written or taken back now
   * @throws ProblemException when somebody else wrote it in the meantime
   */
  async write(
    reviewId: string,
    { database, line, language, text, version }: LineTextChange,
    refersTo: LineText['refersTo'],
    person: Person,
  ): Promise<number> {
    return this.store.write(async (manager) => {
      const where = { reviewId, database, line };
      const last = await manager.findOneBy(LineTextRow, { ...where, latest: true });
      const present = last?.version ?? 0;
      if (present !== version) {
        throw changedMeanwhile('line', { version: present, text: last?.text ?? null });
      }
      const state = {
        version: present + 1,
        language,
        text,
        refersTo,
        at: new Date().toISOString(),
        personId: person.id,
      };
      if (last !== null && goesOn(last, state)) {
        await manager.update(LineTextRow, { id: last.id }, state);
        return state.version;
      }
      if (last !== null) await manager.update(LineTextRow, { id: last.id }, { latest: false });
      await manager.insert(LineTextRow, { id: randomUUID(), ...where, ...state, latest: true });
      return state.version;
    });
  }

  private latest(reviewId: string, database: string): Promise<LineTextRow[]> {
    return this.store.read.findBy(LineTextRow, { reviewId, database, latest: true });
  }
}

/** Whether somebody goes on typing what they were typing: what was taken back, or is, is a state of its own. */
function goesOn(
  last: LineTextRow,
  next: Pick<LineTextRow, 'personId' | 'language' | 'text' | 'at'>,
): boolean {
  return (
    last.personId === next.personId &&
    last.language === next.language &&
    last.text !== null &&
    next.text !== null &&
    soonAfter(last.at, next.at, ONE_STATE_MS)
  );
}
