import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Wrong } from '../ui/Failure';
import { useState } from 'react';
import { call } from '../api/client';
import { keys } from '../api/queries';
import type { Roast } from '../api/types';

/** A link to give away: who has it sees and ticks these tasks, and nothing else. */
export function HandsLink({ roast }: { roast: Roast }) {
  const cache = useQueryClient();
  const [path, setPath] = useState<string | null>(null);
  const [copied, setCopied] = useState(false);
  const again = () => void cache.invalidateQueries({ queryKey: keys.roast(roast.id) });
  const make = useMutation({
    mutationFn: () => call('post', '/api/roasts/{roast}/hands', { at: { roast: roast.id } }),
    onSuccess: (made) => {
      setPath(made.path);
      setCopied(false);
      again();
    },
  });
  const close = useMutation({
    mutationFn: () => call('delete', '/api/roasts/{roast}/hands', { at: { roast: roast.id } }),
    onSuccess: () => {
      setPath(null);
      again();
    },
  });
  const url = path === null ? '' : `${location.origin}${path}`;
  const trouble = make.error ?? close.error;
  return (
    <div className="no-print mt-4 grid gap-2 border-t border-hair pt-3">
      <p>
        <strong>A second pair of hands.</strong>{' '}
        <span className="text-soft">A link that shows these tasks and ticks them, and nothing else, on any phone.</span>
      </p>
      {path !== null && (
        <div className="flex flex-wrap items-center gap-2">
          <input
            aria-label="The link to give away"
            readOnly
            className="field max-w-2xl"
            value={url}
            onFocus={(event) => event.target.select()}
          />
          {/* A page that came without TLS may not; the field is marked by a tap. */}
          {'clipboard' in navigator && (
            <button
              type="button"
              className="push"
              onClick={() =>
                void navigator.clipboard.writeText(url).then(
                  () => setCopied(true),
                  () => setCopied(false),
                )
              }
            >
              {copied ? 'Copied' : 'Copy it'}
            </button>
          )}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="push" disabled={make.isPending} onClick={() => make.mutate()}>
          {roast.helped ? 'A new link; the old one closes' : 'Make a link'}
        </button>
        {roast.helped && (
          <button type="button" className="push" disabled={close.isPending} onClick={() => close.mutate()}>
            Close the link
          </button>
        )}
      </div>
      <Wrong error={trouble} />
    </div>
  );
}
