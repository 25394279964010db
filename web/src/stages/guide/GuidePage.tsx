import { useEffect } from 'react';
import Markdown, { type Components } from 'react-markdown';
import { Link, NavLink, useLocation, useNavigate, useParams } from 'react-router';
import rehypeSlug from 'rehype-slug';
import remarkGfm from 'remark-gfm';
import { usePageTitle } from '../../parts/usePageTitle.js';
import { Mark } from '../../parts/Mark.js';
import { addressOfLink, START } from '../../parts/guide/guidePages.js';
import { GUIDE } from '../../parts/guide/pages.js';

/** The guide, page by page; each section has an address of its own. */
export function GuidePage() {
  const { page = START } = useParams();
  const { hash } = useLocation();
  const navigate = useNavigate();
  const shown = GUIDE.find(({ id }) => id === page);
  usePageTitle(shown?.title, 'Guide');
  useEffect(() => {
    const target = hash === '' ? null : document.getElementById(decodeURIComponent(hash.slice(1)));
    if (target === null) document.querySelector('[data-guide]')?.scrollTo(0, 0);
    else target.scrollIntoView();
  }, [shown, hash]);
  return (
    <div className="flex h-full flex-col">
      <header className="rule flex h-[46px] shrink-0 items-center gap-4 border-b px-4">
        <Link to="/reviews" aria-label="Even Lantern, all reviews">
          <Mark compact />
        </Link>
        <span className="flex-1 font-semibold">Guide</span>
        <button className="btn btn-sm btn-quiet" onClick={() => void navigate(-1)}>
          Back to where I was
        </button>
      </header>
      <div className="flex min-h-0 flex-1 max-md:flex-col">
        <nav
          aria-label="Pages of the guide"
          className="rule bg-base-300 shrink-0 overflow-auto border-r py-3 max-md:border-b md:w-64"
        >
          <ul>
            {GUIDE.map(({ id, title, sections }) => (
              <li key={id}>
                <NavLink
                  to={`/guide/${id}`}
                  className={`block px-4 py-1.5 ${id === page ? 'font-bold' : ''}`}
                >
                  {title}
                </NavLink>
                {id === page && (
                  <ul className="pb-2 max-md:hidden">
                    {sections.map((section) => (
                      <li key={section.id}>
                        <Link
                          className="quiet block py-0.5 pr-3 pl-7 text-sm"
                          to={`/guide/${id}#${section.id}`}
                        >
                          {section.title}
                        </Link>
                      </li>
                    ))}
                  </ul>
                )}
              </li>
            ))}
          </ul>
        </nav>
        <main data-guide tabIndex={0} aria-label="Page of the guide" className="min-h-0 flex-1 overflow-auto">
          <article className="guide mx-auto max-w-[46rem] px-6 py-6">
            {shown === undefined ? (
              <p>The guide has no such page. Choose one at the left.</p>
            ) : (
              <Markdown
                remarkPlugins={[remarkGfm]}
                rehypePlugins={[rehypeSlug]}
                components={componentsOf(page === START ? 'README' : page)}
              >
                {shown.text}
              </Markdown>
            )}
          </article>
        </main>
      </div>
    </div>
  );
}

/** Links between pages stay in the program; files of the repository are named and no more. */
function componentsOf(page: string): Components {
  return {
    a: ({ href = '', children }) => {
      const address = addressOfLink(href, page);
      return address === null ? <span>{children}</span> : <Link to={address}>{children}</Link>;
    },
  };
}
