/** Text that stays text in Markdown: markup in titles, names and terms must not act. */
export function markdownText(text: string): string {
  return text.replace(/[\\`*_[\]<>|#]/g, (char) => `\\${char}`).replace(/\s+/g, ' ');
}
