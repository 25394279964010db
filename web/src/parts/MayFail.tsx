import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';

/** Where a part of the page fails, says so in its place; the rest goes on, and what was kept is safe. */
export function MayFail({ resetKey, children }: { resetKey: string; children: ReactNode }) {
  return (
    <ErrorBoundary
      resetKeys={[resetKey]}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <div role="alert" className="flex flex-col items-start gap-3 p-6">
          <h1 className="text-[1.0625rem] font-bold">This page has failed</h1>
          <p>
            Everything you saved is kept. The program failed while showing this:{' '}
            <span className="font-mono text-xs">
              {error instanceof Error ? error.message : String(error)}
            </span>
          </p>
          <button className="btn btn-sm btn-quiet" onClick={resetErrorBoundary}>
            Show it again
          </button>
        </div>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
