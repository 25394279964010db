import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type { LineText } from '@even-lantern/core';
import type { LineTextChange, Person } from '@even-lantern/contract';
import { DataSource } from 'typeorm';
import { changedMeanwhile } from '../application/problem.js';
import { LineTextRow, PersonRow } from '../store/entities.js';

/** A line as it was written last, and by whom. */
export interface WrittenLine extends LineText {
  /** how often the line has been written or taken back, so that nobody overwrites what they have not seen */
  version: number;
  at: string;
  person: string;
}

/** Lines as people wrote them by hand. Rows are only ever added; the latest of a line counts. */
@Injectable()
export class LineTextsService {
  constructor(private readonly store: DataSource) {}

  /** Those of a review in a database that hold now; what was taken back to the lanes is left out. */
  async of(reviewId: string, database: string): Promise<WrittenLine[]> {
    const rows = await this.latest(reviewId, database);
    if (rows.length === 0) return [];
    const people = await this.store.getRepository(PersonRow).find();
    return rows.flatMap(({ line, language, text, refersTo, version, at, personId }) =>
      text === null
        ? []
        : [
            {
              line,
              language: language === 'cql' ? 'cql' : 'own',
              text,
              refersTo: JSON.parse(refersTo) as LineText['refersTo'],
              version,
              at,
              person: people.find(({ id }) => id === personId)?.name ?? '',
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
   * @throws ProblemException when somebody else wrote it in the meantime
   */
  async write(
    reviewId: string,
    { database, line, language, text, version }: LineTextChange,
    refersTo: LineText['refersTo'],
    person: Person,
  ): Promise<void> {
    await this.store.transaction(async (manager) => {
      const where = { reviewId, database, line };
      const last = await manager.findOne(LineTextRow, { where, order: { version: 'DESC' } });
      const present = last?.version ?? 0;
      if (present !== version) {
        throw changedMeanwhile('line', { version: present, text: last?.text ?? null });
      }
      await manager.insert(LineTextRow, {
        id: randomUUID(),
        ...where,
        version: present + 1,
        language,
        text,
        refersTo: JSON.stringify(refersTo),
        at: new Date().toISOString(),
        personId: person.id,
      });
    });
  }

  private async latest(reviewId: string, database: string): Promise<LineTextRow[]> {
    const rows = await this.store
      .getRepository(LineTextRow)
      .find({ where: { reviewId, database }, order: { version: 'ASC' } });
    return [...new Map(rows.map((row) => [row.line, row])).values()];
  }
}
