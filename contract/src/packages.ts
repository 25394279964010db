/** What became of a package that was taken in. */
export interface PackageTaken {
  /** of the review */
  id: string;
  title: string;
  rows: number;
  /** how many schedules were active, and are paused here */
  paused: number;
  /** of its ledger, to be compared with one that somebody kept */
  seal: string;
  /** what this installation says otherwise, and stands, in sentences */
  standing: string[];
  /** what its ledger cannot vouch for, in sentences */
  unvouched: string[];
}
