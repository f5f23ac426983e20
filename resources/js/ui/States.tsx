import type { ReactNode } from 'react';

/** While something is fetched: a thread that is being drawn, not a spinner. */
export function Loading({ what }: { what: string }) {
  return (
    <div role="status" className="py-16">
      <div className="h-[3px] w-40 animate-pulse bg-ink" />
      <p className="label mt-3">Fetching {what}</p>
    </div>
  );
}

export function Trouble({ error, retry, children }: { error: Error; retry?: () => void; children?: ReactNode }) {
  return (
    <div role="alert" className="max-w-xl py-10">
      <div className="opens border-ember">
        <h2 className="text-xl">{error.message}</h2>
        <p className="mt-1 text-soft">What you logged is safe: it is kept in this browser until it has been sent.</p>
        <div className="mt-3 flex gap-3">
          {retry !== undefined && (
            <button type="button" className="push" onClick={retry}>
              Try again
            </button>
          )}
          {children}
        </div>
      </div>
    </div>
  );
}
