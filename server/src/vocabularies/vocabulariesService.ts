import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { Injectable, type OnModuleInit } from '@nestjs/common';
import { treeOf, type Heading, type Vocabulary, type VocabularyTree } from '@even-lantern/core';
import type { Person, VocabularyFormat, VocabularySummary } from '@even-lantern/contract';
import { In, IsNull } from 'typeorm';
import { badInput, conflict, notFound } from '../http/problem.js';
import { DatabasesService } from '../databases/databasesService.js';
import { ImportedHeadingsRow, ImportedVocabularyRow, TermRow } from '../store/entities.js';
import { PeopleService } from '../people/people.js';
import { IncomingFiles, type FileAsked } from '../files/incomingFiles.js';
import { headingLines, type VocabularyRead } from '../files/vocabularyInFile.js';
import { inBatches } from '../store/inBatches.js';
import { Store } from '../store/store.js';

const NAMED = 5;

/** All vocabularies: those that databases serve, and those read from files. */
@Injectable()
export class VocabulariesService implements OnModuleInit {
  /** imported ones by row, since reading a large one back takes a while */
  private readonly imported = new Map<string, Promise<Vocabulary>>();

  constructor(
    private readonly store: Store,
    private readonly databases: DatabasesService,
    private readonly people: PeopleService,
    private readonly files: IncomingFiles,
  ) {}

  /** Headings that a crash left without their vocabulary are thrown away. */
  async onModuleInit(): Promise<void> {
    await this.store.write(async (manager) => {
      const firsts = await manager.find(ImportedHeadingsRow, {
        where: { part: 0 },
        select: { vocabularyRow: true },
      });
      const kept = new Set(
        (await manager.find(ImportedVocabularyRow, { select: { id: true } })).map(({ id }) => id),
      );
      const left = firsts.map(({ vocabularyRow }) => vocabularyRow).filter((id) => !kept.has(id));
      await inBatches(left, (ids) => manager.delete(ImportedHeadingsRow, { vocabularyRow: In(ids) }));
    });
  }

  async list(): Promise<VocabularySummary[]> {
    const served = new Map<string, VocabularySummary>();
    for (const { id, name, databases } of await this.databases.servedVocabularies()) {
      const whole = await this.databases.vocabularyById(id);
      const release = whole?.release ?? '';
      served.set(id, {
        id,
        name,
        release,
        headings: whole?.headings.length ?? null,
        databases,
        imported: null,
      });
    }
    const rows = await this.latestRows();
    const nameOf = await this.people.namesOf(rows.map(({ personId }) => personId));
    const imported = rows
      .filter(({ vocabulary }) => !served.has(vocabulary))
      .map((row): VocabularySummary => ({
        id: row.vocabulary,
        name: row.name,
        release: row.release,
        headings: row.headings,
        databases: [],
        imported: {
          at: row.at,
          person: nameOf(row.personId),
          notes: row.notes,
        },
      }));
    return [...served.values(), ...imported];
  }

  /** @throws ProblemException when no vocabulary of that id is known */
  async get(id: string): Promise<Vocabulary> {
    const found = await this.find(id);
    if (found === null) throw notFound(`The vocabulary “${id}”`);
    return found;
  }

  /** Ready for walking; null when no vocabulary of that id is known. */
  async tree(id: string): Promise<VocabularyTree | null> {
    const vocabulary = await this.find(id);
    return vocabulary === null ? null : treeOf(vocabulary);
  }

  /**
   * Reads a vocabulary from a file. One of the same id takes the place of the earlier one, and headings that are
   * gone are told, with where they are still used.
   * @param fileName names a vocabulary that does not name itself
   * @param asked by which job it is watched, and the encoding where a person says it
   */
  import(
    source: Readable,
    format: VocabularyFormat,
    fileName: string,
    asked: FileAsked,
    person: Person,
  ): Promise<VocabularySummary> {
    return this.files.vocabulary(source, format, asked, async (read, headings, signal) => {
      if (!read.ok) {
        const path = read.line === null ? 'file' : `line ${read.line}`;
        throw badInput([{ path, message: read.message }]);
      }
      return this.keep(named(read.vocabulary, fileName), read, headings, signal, person);
    });
  }

  /** @param path the file with the headings */
  private async keep(
    vocabulary: Omit<Vocabulary, 'headings'>,
    { labels, notes }: Extract<VocabularyRead, { ok: true }>,
    path: string,
    signal: AbortSignal,
    person: Person,
  ): Promise<VocabularySummary> {
    if ((await this.databases.vocabularyById(vocabulary.id)) !== null) {
      throw conflict(
        `The ${vocabulary.name} is served by its database already.`,
        'Nothing was read in. Its latest release comes from the database by itself.',
      );
    }
    const earlier = await this.find(vocabulary.id);
    const importNotes = [
      ...notes,
      ...(earlier === null ? [] : await this.withdrawn(earlier, vocabulary.id, labels)),
    ];
    const row: ImportedVocabularyRow = {
      id: randomUUID(),
      vocabulary: vocabulary.id,
      name: vocabulary.name,
      release: vocabulary.release,
      headings: labels.length,
      content: JSON.stringify(vocabulary),
      notes: importNotes,
      at: new Date().toISOString(),
      personId: person.id,
    };
    try {
      // Part by part, so that a large vocabulary holds up nobody else; the row that comes last makes them count.
      let part = 0;
      for await (const content of headingLines(path)) {
        signal.throwIfAborted();
        const headings: ImportedHeadingsRow = { vocabularyRow: row.id, part, content };
        await this.store.write((manager) => manager.insert(ImportedHeadingsRow, headings));
        part += 1;
      }
      await this.store.write((manager) => manager.insert(ImportedVocabularyRow, row));
    } catch (error) {
      await this.store.write((manager) => manager.delete(ImportedHeadingsRow, { vocabularyRow: row.id }));
      throw error;
    }
    this.databases.forgetDescribed(vocabulary.id);
    return {
      id: row.vocabulary,
      name: row.name,
      release: row.release,
      headings: row.headings,
      databases: [],
      imported: { at: row.at, person: person.name, notes: importNotes },
    };
  }

  /** Headings of the earlier release that are gone, and which of them lanes still hold. */
  private async withdrawn(earlier: Vocabulary, id: string, labels: readonly string[]): Promise<string[]> {
    const present = new Set(labels);
    const gone = new Set(earlier.headings.map(({ label }) => label).filter((label) => !present.has(label)));
    if (gone.size === 0) return [];
    const terms = await this.store.read.getRepository(TermRow).findBy({ removedAt: IsNull() });
    const used = new Set(
      terms
        .map(({ content }) => content)
        .flatMap((content) =>
          content.kind === 'heading' && content.vocabulary === id && gone.has(content.label)
            ? [content.label]
            : [],
        ),
    );
    const since = earlier.release === '' ? 'the release read before' : `the release of ${earlier.release}`;
    return [
      `${gone.size} heading${gone.size === 1 ? '' : 's'} of ${since} ${gone.size === 1 ? 'is' : 'are'} withdrawn: ${some(gone)}.`,
      ...(used.size === 0
        ? []
        : [
            `Lanes still hold withdrawn headings, which find nothing new: ${some(used)}. Choose others for them.`,
          ]),
    ];
  }

  private async find(id: string): Promise<Vocabulary | null> {
    const row = (await this.latestRows()).find(({ vocabulary }) => vocabulary === id);
    // One that was read from a file is rarely served as well, so it need not wait for databases never heard of.
    const served = await this.databases.vocabularyById(id, row === undefined ? undefined : 0);
    if (served !== null) return served;
    if (row === undefined) return null;
    const known = this.imported.get(row.id);
    if (known !== undefined) return known;
    const reading = this.readBack(row.id);
    this.imported.set(row.id, reading);
    reading.catch(() => this.imported.delete(row.id));
    return reading;
  }

  /** Part by part, with others let in between. */
  private async readBack(id: string): Promise<Vocabulary> {
    const whole = await this.store.read.findOneByOrFail(ImportedVocabularyRow, { id });
    const { headings = [], ...vocabulary } = JSON.parse(whole.content) as Partial<Vocabulary> &
      Omit<Vocabulary, 'headings'>;
    for (let part = 0; ; part += 1) {
      const row = await this.store.read.findOneBy(ImportedHeadingsRow, { vocabularyRow: id, part });
      if (row === null) return { ...vocabulary, headings };
      for (const heading of JSON.parse(row.content) as Heading[]) headings.push(heading);
      await nextTurn();
    }
  }

  /** The latest of each id, without their content. */
  private async latestRows(): Promise<Omit<ImportedVocabularyRow, 'content'>[]> {
    const rows = await this.store.read.getRepository(ImportedVocabularyRow).find({
      select: {
        id: true,
        vocabulary: true,
        name: true,
        release: true,
        headings: true,
        notes: true,
        at: true,
        personId: true,
      },
      order: { at: 'ASC' },
    });
    return [...new Map(rows.map((row) => [row.vocabulary, row])).values()];
  }
}

/** A vocabulary that does not name itself is named by its file. */
function named(vocabulary: Omit<Vocabulary, 'headings'>, fileName: string): Omit<Vocabulary, 'headings'> {
  const stem = fileName.replace(/\.[a-z]+$/i, '').trim() || 'vocabulary';
  return {
    ...vocabulary,
    id: vocabulary.id === '' ? `file:${stem}` : vocabulary.id,
    name: vocabulary.name === '' ? stem : vocabulary.name,
  };
}

function some(labels: ReadonlySet<string>): string {
  const shown = [...labels].slice(0, NAMED).map((label) => `“${label}”`);
  return shown.join(', ') + (labels.size > NAMED ? ` and ${labels.size - NAMED} more` : '');
}
