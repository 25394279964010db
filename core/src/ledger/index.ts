export {
  LEDGER_FORM,
  recordsDigest,
  WAYS_ELSEWHERE,
  canonicalJson,
  entryHash,
  hashText,
  isRun,
  resultFingerprint,
  sealEntry,
} from './entry.js';
export type {
  FoundDigest,
  CorrectionContent,
  ElsewhereContent,
  EntryReference,
  LedgerAccepted,
  LedgerContent,
  LedgerEntry,
  LedgerKind,
  LedgerLimit,
  LedgerLine,
  LedgerSettled,
  NewContent,
  NoteContent,
  RunContent,
  WayElsewhere,
} from './entry.js';
export { CSV_LEDGER } from './csvLedger.js';
export type { AboutLedger, LedgerForm } from './form.js';
export { LEDGER_FORMS, writeLedger } from './forms.js';
export { JSON_LEDGER, readLedgerFile, type LedgerFile } from './ledgerFile.js';
export { MARKDOWN_LEDGER } from './markdownLedger.js';
export { ledgerVerifier, readSeal, sealOf, sealText, verificationText, verifyLedger } from './verify.js';
export type {
  BrokenEntry,
  KeptEntry,
  LedgerVerifier,
  Seal,
  SealFit,
  SealResult,
  Verification,
} from './verify.js';
