/** Problem details (RFC 9457). */
export interface Problem {
  type: string;
  /** what happened, in plain words */
  title: string;
  status: number;
  /** what was kept and what to do */
  detail?: string;
  /** for bad input: which part, and how to mend it */
  errors?: { path: string; message: string }[];
  /** after a conflicting edit: the present state */
  current?: unknown;
}

export const PROBLEM_TYPE = 'urn:even-lantern:problem:';
