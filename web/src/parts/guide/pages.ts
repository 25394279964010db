/** The pages of the guide, from the same Markdown as `docs/guide/`. */
import { guidePages } from './guidePages.js';

const files = import.meta.glob<string>('../../../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
});

export const GUIDE = guidePages(
  Object.fromEntries(Object.entries(files).map(([path, text]) => [path.replace(/^.*\//, ''), text])),
);
