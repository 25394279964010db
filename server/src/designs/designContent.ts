/** The study designs as files, read when they are first wanted. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import { vocabularyFromTurtle } from '@even-lantern/core';
import type { MeasuredFilter, StudyDesigns } from '@even-lantern/contract';

/** Where the files are. */
export const DESIGN_FOLDER = Symbol('folder of the study designs');

export interface DesignFiles extends StudyDesigns {
  turtle: string;
}

@Injectable()
export class DesignContent {
  private known: Promise<DesignFiles> | null = null;

  constructor(@Inject(DESIGN_FOLDER) private readonly folder: string) {}

  get(): Promise<DesignFiles> {
    this.known ??= this.read();
    return this.known;
  }

  private async read(): Promise<DesignFiles> {
    const file = (name: string) => readFile(join(this.folder, name), 'utf8');
    const [turtle, rules, figures] = await Promise.all([
      file('study-designs.ttl'),
      file('design-rules.txt'),
      file('filter-figures.json'),
    ]);
    const read = await vocabularyFromTurtle(turtle);
    if (!read.ok) throw new Error(`study-designs.ttl: ${read.message}`);
    return {
      turtle,
      taxonomy: read.vocabulary,
      rules,
      figures: JSON.parse(figures) as MeasuredFilter[],
    };
  }
}
