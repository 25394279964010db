/** The study designs as files, read when they are first wanted. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';
import { designTree, vocabularyFromTurtle } from '@even-lantern/core';
import type { MeasuredFilter, StudyDesigns } from '@even-lantern/contract';
import { Configuration } from '../configuration/configuration.js';
import { expectDesigns } from './expectDesigns.js';

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

  constructor(private readonly configuration: Configuration) {}

  get(): Promise<DesignFiles> {
    this.known ??= this.read();
    return this.known;
  }

  /** A design with all its kinds. */
  async withKinds(design: string): Promise<string[]> {
    return [design, ...designTree((await this.get()).taxonomy).below(design)];
  }

  /** @throws ProblemException for a label that no design has */
  async expect(designs: readonly string[], path: string): Promise<void> {
    expectDesigns(designs, designTree((await this.get()).taxonomy), path);
  }

  private async read(): Promise<DesignFiles> {
    const file = (name: string) => readFile(join(this.configuration.contentFolder, name), 'utf8');
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
