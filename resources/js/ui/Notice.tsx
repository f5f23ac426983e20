import { useState, type ReactNode } from 'react';

type Props = { shows: boolean; className: string; children: ReactNode };

/**
 * A line that comes and goes across the page. What it pushes down, and what moves up when it goes, takes no tap for a moment: it was
 * meant for what stood there before (app.css).
 */
export function Notice({ shows, className, children }: Props) {
  const [came, setCame] = useState(shows);
  if (shows && !came) setCame(true);
  if (!shows) return came ? <div hidden className="gone" /> : null;
  return (
    <div role="status" className={`notice ${className}`}>
      {children}
    </div>
  );
}
