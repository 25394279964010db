import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { GuideLink } from './GuideLink.js';

const SEEN = 'even-lantern-intro-';

/** What a stage is for, in three sentences of the guide, until somebody has read them. */
export function StageIntro({ stage }: { stage: string }) {
  const [seen, setSeen] = useState(() => localStorage.getItem(SEEN + stage) !== null);
  const [text, setText] = useState<string | null>(null);
  useEffect(() => {
    if (seen) return;
    let active = true;
    void import('./guide/pages.js').then(({ GUIDE }) => {
      if (active) setText(GUIDE.find(({ id }) => id === stage)?.intro ?? null);
    });
    return () => {
      active = false;
    };
  }, [seen, stage]);
  if (seen || text === null) return null;
  return (
    <aside
      aria-label="New here?"
      className="rule bg-base-100 flex shrink-0 items-start gap-3 border-b px-4 py-2 text-sm"
    >
      <p className="max-w-[70rem] flex-1 cramped:line-clamp-2">
        <b>New here?</b> {text} <GuideLink to={stage}>The guide tells more</GuideLink>
      </p>
      <button
        className="btn btn-ghost btn-xs btn-square"
        aria-label="Read; do not show this again"
        title="Read; do not show this again"
        onClick={() => {
          localStorage.setItem(SEEN + stage, 'read');
          setSeen(true);
        }}
      >
        <X className="h-4 w-4" aria-hidden="true" />
      </button>
    </aside>
  );
}
