/** What is used of a reader of references, which tells no types of its own. */
declare module '@citation-js/core' {
  export const plugins: { input: { chain(text: string): unknown } };
}
declare module '@citation-js/plugin-ris';
