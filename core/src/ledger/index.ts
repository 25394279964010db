export { LEDGER_FORM, canonicalJson, firstBrokenEntry, resultFingerprint, sealEntry } from './entry.js';
export type { LedgerContent, LedgerEntry, LedgerLimit, LedgerLine } from './entry.js';
export { ledgerToCsv, ledgerToMarkdown } from './export.js';
