/** Digital object identifiers (ISO 26324) as they are written in the wild. */
const DOI = /\b(10\.\d{4,9}\/[^\s"<>]+)/;
const BEFORE = /^(?:doi:?\s*|https?:\/\/(?:dx\.)?doi\.org\/)/i;

/** Without what is written before it; null where nothing is left. */
export function plainDoi(text: string): string | null {
  const doi = text.trim().replace(BEFORE, '').trim();
  return doi === '' ? null : doi;
}

/** The first DOI in some texts. */
export function doiIn(texts: readonly string[]): string | null {
  for (const text of texts) {
    const doi = DOI.exec(text)?.[1]?.replace(/[.,;)]+$/, '');
    if (doi !== undefined) return doi;
  }
  return null;
}
