/** What became of a package that was taken in. */
export interface PackageTaken {
  /** of the review */
  id: string;
  title: string;
  rows: number;
  /** how many schedules were active, and are paused here */
  paused: number;
}
