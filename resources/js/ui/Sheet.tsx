import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import { asTopLayer } from './topLayer';

/** Something to be dealt with before going on; from below on a phone, in the middle elsewhere. */
export function Sheet({
  title,
  open,
  onClose,
  wide = false,
  children,
}: {
  title: string;
  open: boolean;
  onClose: () => void;
  /** for things that are held against each other */
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-black/45" />
      <div className="fixed inset-0 flex items-end justify-center sm:items-center sm:p-4">
        <DialogPanel
          className={clsx(
            'max-h-[96dvh] w-full overflow-auto rounded-t-2xl border-t-[3px] border-ink bg-paper p-4 sm:rounded-2xl sm:border-[1.5px]',
            wide ? 'sm:w-[76rem]' : 'sm:w-[26rem]',
          )}
        >
          <div className="mb-2 flex flex-wrap items-center justify-between gap-x-3">
            <DialogTitle className="wide min-w-0 text-[min(1.25rem,9vw)]">{title}</DialogTitle>
            <button type="button" className="text-push px-2" onClick={onClose}>
              Close
            </button>
          </div>
          {children}
          <div ref={asTopLayer} />
        </DialogPanel>
      </div>
    </Dialog>
  );
}
