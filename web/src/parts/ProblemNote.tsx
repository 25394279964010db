import type { Problem } from '@even-lantern/contract';
import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** What happened, what was kept, what to do. */
export function ProblemNote({ problem, children }: { problem: Problem; children?: ReactNode }) {
  return (
    <div role="alert" className="problem flex gap-2 text-sm">
      <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-label="Trouble" />
      <div>
        <p className="font-semibold">{problem.title}</p>
        {problem.detail !== undefined && <p>{problem.detail}</p>}
        {(problem.errors ?? [])
          .filter(({ message }) => message !== problem.title)
          .map(({ path, message }) => (
            <p key={path + message}>{message}</p>
          ))}
        {children}
      </div>
    </div>
  );
}
