import type { TextField } from '../query/index.js';
import type { BibRecord } from './model.js';

/**
 * The texts of a field, one per section. A phrase never crosses from one section into the next: neither from one
 * keyword to another, nor from the label of an abstract's section into its text.
 */
export function sectionsOf(record: BibRecord, field: TextField): string[] {
  switch (field) {
    case 'title':
      return [record.title];
    case 'abstract':
      return record.abstract.flatMap((section) =>
        section.label === null ? [section.text] : [section.label, section.text],
      );
    case 'keywords':
      return record.keywords;
    case 'headings':
      return record.headings.flatMap((heading) => [heading.label, ...heading.subheadings]);
    case 'author':
      return record.authors.map((author) => `${author.given} ${author.family}`);
    case 'journal':
      return [record.journal];
    case 'fulltext':
      return [];
  }
}
