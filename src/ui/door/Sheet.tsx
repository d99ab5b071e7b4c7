'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useBackCloses } from './useBackCloses';

/** A panel over the page: from the right on a wide screen, from below on a phone. Back closes it. */
export function Sheet({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  useBackCloses(onClose);
  return (
    <Dialog open onClose={onClose} className="relative z-50">
      <div className="fixed inset-0 flex items-end bg-black/40 sm:items-stretch sm:justify-end">
        <DialogPanel className="flex max-h-[88dvh] w-full flex-col rounded-t-card bg-snow text-ink sm:max-h-none sm:max-w-[34rem] sm:rounded-none">
          <div className="flex items-center justify-between gap-3 border-b border-line py-2 pr-2 pl-5">
            <DialogTitle className="min-w-0 text-xl">{title}</DialogTitle>
            <button type="button" className="button border-transparent" aria-label="Close" onClick={onClose}>
              <X aria-hidden size={22} />
            </button>
          </div>
          <div className="flex-1 overflow-y-auto px-5 py-4">{children}</div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
