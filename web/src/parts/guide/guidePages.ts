/** What the guide is made of: pages with sections, each with an address. */
import GithubSlugger from 'github-slugger';

export interface GuideSection {
  title: string;
  /** what its address ends in */
  id: string;
}

export interface GuidePage {
  /** what its address ends in; `start` for the first */
  id: string;
  title: string;
  /** for somebody who has never done this; null for pages that are no stage */
  intro: string | null;
  sections: GuideSection[];
  /** as Markdown */
  text: string;
}

/** The order of the job. */
const ORDER = [
  'README',
  'question',
  'concepts',
  'searches',
  'limits',
  'databases',
  'records',
  'ledger',
  'packages',
  'columns',
  'api',
];
const STAGES = ['question', 'concepts', 'searches', 'limits', 'records'];
export const START = 'start';

/** @param files Markdown by the name of its file */
export function guidePages(files: Readonly<Record<string, string>>): GuidePage[] {
  return ORDER.map((name) => {
    const text = files[`${name}.md`] ?? '';
    const slugger = new GithubSlugger();
    const heads = [...text.matchAll(/^(#{1,6}) (.+)$/gm)].map(([, marks = '', title = '']) => ({
      depth: marks.length,
      title: title.trim(),
      id: slugger.slug(title.trim()),
    }));
    return {
      id: name === 'README' ? START : name,
      title: heads[0]?.title ?? name,
      intro: STAGES.includes(name) ? introOf(text) : null,
      sections: heads.slice(1).map(({ title, id }) => ({ title, id })),
      text,
    };
  });
}

/** The first paragraph below the title, without its marks. */
function introOf(text: string): string {
  const [, paragraph = ''] = text.split('\n\n', 2);
  return paragraph.replace(/\s+/g, ' ').replace(/[*_]/g, '').trim();
}

/** Where a link of the Markdown leads in the program; null for one that leads elsewhere, such as to a file. */
export function addressOfLink(href: string, page: string): string | null {
  const [, file = '', anchor = ''] = /^([\w-]+\.md)?(#.*)?$/.exec(href) ?? [];
  if (file === '' && anchor === '') return null;
  const name = file === '' ? page : file.replace(/\.md$/, '');
  return `/guide/${name === 'README' ? START : name}${anchor}`;
}
