/** The open forms of a ledger: each one file, and one line here. */
import { CSV_LEDGER } from './csvLedger.js';
import type { LedgerEntry } from './entry.js';
import { JSON_LEDGER } from './ledgerFile.js';
import { MARKDOWN_LEDGER } from './markdownLedger.js';
import type { AboutLedger, LedgerForm } from './form.js';

export const LEDGER_FORMS: readonly LedgerForm[] = [CSV_LEDGER, MARKDOWN_LEDGER, JSON_LEDGER];

/** A whole file. @see LedgerForm for writing one in parts */
export function writeLedger(form: LedgerForm, entries: readonly LedgerEntry[], about: AboutLedger): string {
  const texts = entries.map((entry) => form.write(entry, about));
  return form.before(about) + texts.join(form.between) + form.after;
}
