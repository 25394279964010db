/** The study designs as files, read when they are first wanted. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { designTree, vocabularyFromTurtle } from '@even-lantern/core';
import type { MeasuredFilter, StudyDesigns } from '@even-lantern/contract';

/** Where the files are. */
export const CONTENT_FOLDER = Symbol('folder of the content files');

/** What is known of a database: the designs of all its records of some years. */
export interface KnownDesigns {
  database: string;
  from: number;
  to: number;
  /** accession numbers by design; under an empty name those of no design that filters are for */
  designs: Record<string, string[]>;
}

export interface DesignFiles extends StudyDesigns {
  turtle: string;
  known: KnownDesigns[];
}

@Injectable()
export class DesignContent {
  private known: Promise<DesignFiles> | null = null;

  constructor(@Inject(CONTENT_FOLDER) private readonly folder: string) {}

  get(): Promise<DesignFiles> {
    this.known ??= this.read();
    return this.known;
  }

  /** A design with all its kinds. */
  async withKinds(design: string): Promise<string[]> {
    return [design, ...designTree((await this.get()).taxonomy).below(design)];
  }

  private async read(): Promise<DesignFiles> {
    const file = (name: string) => readFile(join(this.folder, name), 'utf8');
    const [turtle, rules, figures, known] = await Promise.all([
      file('study-designs.ttl'),
      file('design-rules.txt'),
      file('filter-figures.json'),
      file('known-designs.json'),
    ]);
    const read = await vocabularyFromTurtle(turtle);
    if (!read.ok) throw new Error(`study-designs.ttl: ${read.message}`);
    return {
      turtle,
      taxonomy: read.vocabulary,
      rules,
      figures: JSON.parse(figures) as MeasuredFilter[],
      known: JSON.parse(known) as KnownDesigns[],
    };
  }
}
