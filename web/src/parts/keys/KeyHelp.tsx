import { X } from 'lucide-react';
import { useLocation } from 'react-router';
import { GuideLink } from '../GuideLink.js';
import { keysOfScreen } from './keys.js';
import { useKey } from './useKey.js';

/** The keys of the screen one is on. */
export function KeyHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  const stage = useLocation().pathname.split('/')[3] ?? '';
  const own = keysOfScreen(stage);
  useKey('help.close', onClose, { enabled: open });
  if (!open) return null;
  return (
    <aside
      aria-label="Keys on this screen"
      className="rule bg-base-100 rounded-box fixed top-14 right-4 z-30 w-80 border p-4 shadow-lg"
    >
      <div className="mb-2 flex items-center justify-between">
        <h2 className="font-bold">Keys on this screen</h2>
        <button autoFocus className="btn btn-ghost btn-xs btn-square" onClick={onClose} aria-label="Close">
          <X className="h-4 w-4" />
        </button>
      </div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {[...own, ...keysOfScreen('everywhere')].map(({ chords, does }) => (
          <div key={chords.join(' ')} className="contents">
            <dt className="font-mono text-xs leading-5">{chords.join(' ')}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="pt-3">
        <GuideLink to={own.length > 0 || stage === 'databases' ? stage : 'start'}>
          About this screen, in the guide
        </GuideLink>
      </p>
    </aside>
  );
}
