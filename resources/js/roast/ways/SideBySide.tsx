import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { call } from '../../api/client';
import type { Turned } from '../../api/types';
import { Wrong } from '../../ui/Failure';
import { Sheet } from '../../ui/Sheet';
import { Loading } from '../../ui/States';
import { toDraft, toFile, type Draft } from '../draft';
import { Offers } from './Offers';

/** Ways to go on, worked out when they are asked for: how to ask, and the sheet on which they are compared. */
export function useSideBySide(draft: Draft, onChange: (draft: Draft) => void): [(question: Turned) => void, ReactNode] {
  const [open, setOpen] = useState(false);
  const ask = useMutation({
    mutationFn: (question: Turned) => call('post', '/api/ways', { body: { ...question, roast: toFile(draft) } }),
  });
  const look = (question: Turned) => {
    setOpen(true);
    ask.mutate(question);
  };
  const sheet = (
    <Sheet title="Side by side" open={open} onClose={() => setOpen(false)} wide>
      {ask.isPending && <Loading what="each way to its end" />}
      <Wrong error={ask.error} className="mb-3" />
      {ask.data !== undefined && (
        <Offers
          answer={ask.data}
          take="Plan it so"
          busy={false}
          onTake={(way) => {
            onChange(toDraft(way.file));
            setOpen(false);
          }}
        />
      )}
    </Sheet>
  );
  return [look, sheet];
}
