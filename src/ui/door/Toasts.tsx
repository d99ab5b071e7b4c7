'use client';

import { X } from 'lucide-react';
import { usePathname } from 'next/navigation';
import { StillAsking } from './StillAsking';
import { useDoor } from './useDoor';

export interface Toast {
  id: number;
  text: string;
  kind: 'done' | 'error';
  /** Commands to undo, the last first. */
  undo: string[];
  /** Codes of packages that want labels. */
  labels: string[];
}

/** Messages above the counter, read out politely; what was done can be undone from here. */
export function Toasts({ toasts, dismiss }: { toasts: Toast[]; dismiss: (id: number) => void }) {
  const { act, showLabels } = useDoor();
  // On the bench the main button is at the foot; nothing may lie over it.
  const onBench = usePathname() === '/haul';
  // There is room for one line there: what was done before the last thing is undone from the ledger.
  const last = toasts.findLast(({ kind }) => kind === 'done');
  const shown = onBench ? toasts.filter((one) => one.kind === 'error' || one === last) : toasts;
  return (
    <div
      role="status"
      aria-live="polite"
      className={`pointer-events-none fixed inset-x-3 z-[60] flex flex-col items-start gap-2 sm:inset-x-6 ${onBench ? 'bottom-20 lg:top-16 lg:bottom-auto lg:left-56' : 'bottom-[var(--above-foot,5rem)]'}`}
    >
      <StillAsking />
      {shown.map((toast) => (
        <div
          key={toast.id}
          className={`pointer-events-auto flex max-w-2xl flex-wrap items-center gap-2 rounded-part border-l-8 bg-snow py-2 pr-2 pl-4 text-ink shadow-lg ${toast.kind === 'error' ? 'border-beet' : 'border-ice'}`}
        >
          <p className="min-w-0 flex-1 text-[0.95rem]">{toast.text}</p>
          {toast.labels.length > 0 && (
            <button type="button" className="button" onClick={() => showLabels(toast.labels)}>
              Print {toast.labels.length === 1 ? 'label' : `${toast.labels.length} labels`}
            </button>
          )}
          {toast.undo.length > 0 && (
            <button
              type="button"
              data-undo
              className="button"
              onClick={() => {
                dismiss(toast.id);
                void act(...toast.undo.map((command) => ({ type: 'ledger.undo', command })));
              }}
            >
              Undo
            </button>
          )}
          <button
            type="button"
            className="button border-transparent"
            aria-label="Close message"
            onClick={() => dismiss(toast.id)}
          >
            <X aria-hidden size={18} />
          </button>
        </div>
      ))}
    </div>
  );
}
