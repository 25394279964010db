export {
  LEDGER_FORM,
  WAYS_ELSEWHERE,
  canonicalJson,
  entryHash,
  hashText,
  isRun,
  resultFingerprint,
  sealEntry,
} from './entry.js';
export type {
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
export { ledgerToCsv, ledgerToMarkdown, sealOf } from './export.js';
export { ledgerToJson, readLedgerFile, type LedgerFile } from './ledgerFile.js';
export { ledgerVerifier, readSeal, sealText, verificationText, verifyLedger } from './verify.js';
export type {
  BrokenEntry,
  KeptEntry,
  LedgerVerifier,
  Seal,
  SealFit,
  SealResult,
  Verification,
} from './verify.js';
