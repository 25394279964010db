import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  addressesIn,
  conceptAddress,
  crosswalkToTurtle,
  headingByLabel,
  resolverIn,
  VERDICTS,
  treeOf,
  type TermResolver,
  type Settlement,
  type VocabularyTree,
} from '@even-lantern/core';
import type { NewSettlement, Person, SettledStep } from '@even-lantern/contract';
import { badInput } from '../http/problem.js';
import type { OpenDatabase } from '../databases/databasesService.js';
import { SettlementRow } from '../store/entities.js';
import { PeopleService } from '../people/people.js';
import { VocabulariesService } from '../vocabularies/vocabulariesService.js';
import { Store } from '../store/store.js';

/** Which heading of one vocabulary stands for which of another, as people settle it. It holds for all reviews. */
@Injectable()
export class CrosswalkService {
  constructor(
    private readonly store: Store,
    private readonly vocabularies: VocabulariesService,
    private readonly people: PeopleService,
  ) {}

  /** What is settled now; what was taken back is left out. */
  async settled(manager = this.store.read): Promise<SettledStep[]> {
    const rows = await manager.find(SettlementRow, { order: { position: 'ASC' } });
    const nameOf = await this.people.namesOf(
      rows.map(({ personId }) => personId),
      manager,
    );
    const latest = new Map<string, SettlementRow>();
    for (const row of rows) {
      const key = JSON.stringify([row.vocabulary, row.label, row.target, row.targetLabel]);
      latest.delete(key);
      latest.set(key, row);
    }
    return [...latest.values()].flatMap((row): SettledStep[] => {
      const verdict = VERDICTS.find((each) => each === row.verdict);
      if (verdict === undefined) return [];
      const { vocabulary, label, target, targetLabel, at, personId } = row;
      return [{ vocabulary, label, target, targetLabel, verdict, at, person: nameOf(personId) }];
    });
  }

  /** The confirmed pairs as SKOS mappings in Turtle, between the addresses that the vocabularies came with. */
  async asMappings(): Promise<string> {
    const settled = await this.settled();
    const addresses = new Map<string, (label: string) => string>();
    for (const id of new Set(settled.flatMap(({ vocabulary, target }) => [vocabulary, target]))) {
      const tree = await this.vocabularies.tree(id);
      if (tree !== null) addresses.set(id, addressesIn(tree.vocabulary));
    }
    return crosswalkToTurtle(
      settled,
      (vocabulary, label) => addresses.get(vocabulary)?.(label) ?? conceptAddress(vocabulary, label),
    );
  }

  /** @throws ProblemException when a heading is not in its vocabulary */
  async settle(step: NewSettlement, person: Person): Promise<SettledStep[]> {
    await this.check('label', step.vocabulary, step.label);
    if (step.targetLabel !== null) await this.check('targetLabel', step.target, step.targetLabel);
    return this.store.write(async (manager) => {
      const position = (await manager.maximum(SettlementRow, 'position')) ?? 0;
      await manager.insert(SettlementRow, {
        ...step,
        id: randomUUID(),
        position: position + 1,
        at: new Date().toISOString(),
        personId: person.id,
      });
      return this.settled(manager);
    });
  }

  /** How a database reads headings of some vocabularies. */
  async resolverFor(database: OpenDatabase, vocabularies: readonly string[]): Promise<TermResolver> {
    const target = database.vocabulary === null ? null : treeOf(database.vocabulary);
    const foreign = new Set(vocabularies.filter((id) => id !== database.vocabulary?.id));
    const settlements: Settlement[] = foreign.size === 0 ? [] : await this.settled();
    const trees = new Map<string, VocabularyTree | null>();
    for (const id of foreign) trees.set(id, await this.vocabularies.tree(id));
    return resolverIn(target, settlements, (id) => trees.get(id) ?? null);
  }

  private async check(path: string, vocabulary: string, label: string): Promise<void> {
    const tree = await this.vocabularies.tree(vocabulary);
    if (tree === null) {
      throw badInput([{ path, message: `There is no vocabulary “${vocabulary}” here.` }]);
    }
    if (headingByLabel(tree, label) === null) {
      const message = `The ${tree.vocabulary.name} has no heading “${label}”.`;
      throw badInput([{ path, message }]);
    }
  }
}
