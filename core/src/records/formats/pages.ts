/** Pages, as databases write them and as formats part them. */

/** Up to three letters, digits, and further digits behind a hyphen, as in 211, e594, S12 or S1-12. */
const PAGE = /^[A-Za-z]{0,3}-?\d+(?:[-.]\d+)?[A-Za-z]?$/;

/**
 * The first and the last page. A hyphen parts them only where both sides are pages: `e-594` is one page, and
 * `S1-12–S1-20` goes from S1-12 to S1-20.
 */
export function pageRange(pages: string): { start: string; end: string } {
  const text = pages.trim();
  const dash = text.split(/\s*[–—]\s*/);
  if (dash.length === 2 && dash[0] && dash[1]) return { start: dash[0], end: dash[1] };
  const parts = text.split('-');
  // The middle one of three hyphens, or the only one.
  const [start, end] =
    parts.length === 4
      ? [parts.slice(0, 2).join('-'), parts.slice(2).join('-')]
      : parts.length === 2
        ? [parts[0] ?? '', parts[1] ?? '']
        : [text, ''];
  const both = [start, end].every((page) => PAGE.test(page.trim()));
  return both ? { start: start.trim(), end: end.trim() } : { start: text, end: '' };
}

/** The other way: with a dash where a hyphen could be misread. */
export function pagesOf(start: string, end: string): string {
  if (start === '' || end === '') return start || end;
  return `${start}${start.includes('-') || end.includes('-') ? '–' : '-'}${end}`;
}
