import type { TextField } from '../query/index.js';
import { nameForms } from './nameForms.js';
import type { AbstractSection, BibRecord } from './model.js';

/**
 * The texts of a field, one per section. A phrase never crosses from one section into the next: neither from one
 * keyword to another, nor from the label of an abstract's section into its text. An author's name has a section for each
 * way in which it is written.
 */
export function sectionsOf(record: BibRecord, field: TextField): string[] {
  const sections: string[] = [];
  forEachSection(record, field, (section) => sections.push(section));
  return sections;
}

/** Visits the texts that `sectionsOf` lists, without making a list. */
export function forEachSection(record: BibRecord, field: TextField, visit: (section: string) => void): void {
  switch (field) {
    case 'title':
      visit(record.title);
      return;
    case 'abstract':
      forEachLabelledText(record.abstract, visit);
      return;
    case 'keywords':
      for (const keyword of record.keywords) visit(keyword);
      return;
    case 'headings':
      for (const { label, subheadings } of record.headings) {
        visit(label);
        for (const subheading of subheadings) visit(subheading);
      }
      return;
    case 'author':
      for (const { given, family } of record.authors)
        for (const form of nameForms(given, family)) visit(form);
      return;
    case 'journal':
      visit(record.journal);
      return;
    case 'fulltext':
      forEachLabelledText(record.fullText ?? [], visit);
  }
}

function forEachLabelledText(sections: readonly AbstractSection[], visit: (section: string) => void): void {
  for (const { label, text } of sections) {
    if (label !== null) visit(label);
    visit(text);
  }
}
