import { X } from 'lucide-react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useLocation } from 'react-router';

const EVERYWHERE: [string, string][] = [
  ['Alt 1 … Alt 4', 'go to a stage'],
  ['Ctrl K', 'go to or do'],
  ['Ctrl Z', 'undo the last edit'],
  ['?', 'these keys'],
];

const BY_STAGE: Readonly<Record<string, [string, string][]>> = {
  question: [['Tab', 'the next element']],
  concepts: [
    ['N', 'type into the first lane'],
    ['↑ ↓', 'choose what to add'],
    ['Enter', 'add it, or open the term'],
    ['Delete', 'take the term out'],
    ['Esc', 'close the inspector'],
  ],
  searches: [
    ['R', 'run and log'],
    ['↑ ↓', 'on a line: the one before and after'],
    ['Alt C', 'copy the string'],
    ['Alt Shift C', 'side by side: copy the string on the right'],
    ['E', 'edit the line as text'],
    ['Ctrl Space', 'in the text: what can be written here'],
    ['Esc', 'leave the text'],
  ],
  records: [
    ['↑ ↓ or J P', 'previous and next record'],
    ['K', 'keep'],
    ['U', 'unsure'],
    ['A', 'set aside'],
    ['0', 'back to undecided'],
  ],
};

/** The keys of the screen one is on. */
export function KeyHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  const stage = useLocation().pathname.split('/')[3] ?? '';
  useHotkeys('esc', onClose, { enabled: open });
  if (!open) return null;
  return (
    <aside
      aria-label="Keys on this screen"
      className="rule bg-base-100 rounded-box fixed right-4 bottom-14 z-30 w-80 border p-4 shadow-lg"
    >
      <div className="mb-2 flex items-center justify-between">
        <h2 className="font-bold">Keys on this screen</h2>
        <button autoFocus className="btn btn-ghost btn-xs btn-square" onClick={onClose} aria-label="Close">
          <X className="h-4 w-4" />
        </button>
      </div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {[...(BY_STAGE[stage] ?? []), ...EVERYWHERE].map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-mono text-xs leading-5">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
