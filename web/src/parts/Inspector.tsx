import { X } from 'lucide-react';
import type { ReactNode } from 'react';

/** The frame of what stands beside the work. */
export function Inspector({
  label,
  over,
  title,
  onClose,
  children,
}: {
  label: string;
  over: string;
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <aside
      aria-label={label}
      className="rule bg-base-100 relative flex w-[316px] shrink-0 flex-col gap-3 overflow-y-auto border-l px-4 py-3 max-md:fixed max-md:inset-0 max-md:z-30 max-md:w-auto"
    >
      <div className="flex items-start justify-between gap-2">
        <div className="min-w-0">
          <p className="small-head">{over}</p>
          <h2 className="text-lg leading-tight font-bold break-words">{title}</h2>
        </div>
        <button className="btn btn-ghost btn-xs btn-square" onClick={onClose} aria-label="Close">
          <X className="h-4 w-4" />
        </button>
      </div>
      {children}
    </aside>
  );
}
