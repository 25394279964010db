export interface EvaluationError {
  problem: 'too-many-words' | 'unknown-heading' | 'unknown-subheading' | 'unknown-line' | 'line-cycle';
  message: string;
}

/** Carries an evaluation error out of the recursion; `evaluate` turns it into a value. */
export class EvaluationStop extends Error {
  constructor(readonly error: EvaluationError) {
    super(error.message);
  }
}
