/** How databases are watched. All times in milliseconds. */
export interface WatchTimes {
  /** a call that takes longer makes a database slow */
  slowMs: number;
  /** how long calls must have failed for it to be away */
  awayMs: number;
  /** between two descriptions of a database that answers */
  everyMs: number;
  /** between two tries of one that does not */
  againMs: number;
  /** how long one that moved to another release is waited for */
  movingMs: number;
}

export const WATCH_TIMES: WatchTimes = {
  slowMs: 2000,
  awayMs: 2500,
  everyMs: 30_000,
  againMs: 1000,
  movingMs: 5000,
};
