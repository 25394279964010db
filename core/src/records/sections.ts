import type { TextField } from '../query/index.js';
import type { AbstractSection, BibRecord } from './model.js';

/**
 * The texts of a field, one per section. A phrase never crosses from one section into the next: neither from one
 * keyword to another, nor from the label of an abstract's section into its text.
 */
export function sectionsOf(record: BibRecord, field: TextField): string[] {
  switch (field) {
    case 'title':
      return [record.title];
    case 'abstract':
      return labelledTexts(record.abstract);
    case 'keywords':
      return record.keywords;
    case 'headings':
      return record.headings.flatMap((heading) => [heading.label, ...heading.subheadings]);
    case 'author':
      return record.authors.map((author) => `${author.given} ${author.family}`);
    case 'journal':
      return [record.journal];
    case 'fulltext':
      return labelledTexts(record.fullText ?? []);
  }
}

function labelledTexts(sections: readonly AbstractSection[]): string[] {
  return sections.flatMap(({ label, text }) => (label === null ? [text] : [label, text]));
}
