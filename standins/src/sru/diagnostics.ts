/** SRU diagnostics (OASIS searchRetrieve 1.0 part 2, appendix): number, details, message. */
export interface Diagnostic {
  number: number;
  details: string;
  message: string;
}

/** Ends a request with a diagnostic. */
export class SruStop extends Error {
  constructor(readonly diagnostic: Diagnostic) {
    super(diagnostic.message);
  }
}

export function refuse(number: number, details: string, message: string): never {
  throw new SruStop({ number, details, message });
}
