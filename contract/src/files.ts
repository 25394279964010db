/** Files that people send. */

/** How far a file is that somebody sends. */
export interface FileProgress {
  phase: 'sending' | 'reading' | 'keeping';
  /** sent or read so far */
  bytes: number;
  /** of the whole; null while it is being sent */
  total: number | null;
  /** kept so far */
  records: number;
}
