'use client';

import { usePlays } from '../door/useHouse';
import { ReceiptText, ListPlus, ScanLine } from 'lucide-react';
import type { HygieneStep } from '@/core/haul/hygieneStep';
import type { OrderedLine } from '@/core/haul/workOrder';
import type { HaulView } from '@/services/haul/haul';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import { Said } from '../units/Said';
import { HaulLines } from './HaulLines';

/** Left of the bench: ways to bring lines in, the lines in the order of work, what is asked after raw meat. */
export function LinesColumn({
  view,
  open,
  chosen,
  hygiene,
  vocabulary,
  busy,
  onShow,
  onChoose,
  onHygiene,
  onPackAll,
}: {
  view: HaulView;
  open: readonly OrderedLine[];
  chosen: string | null;
  hygiene: HygieneStep | null;
  vocabulary: KnownVocabulary;
  busy: boolean;
  onShow: (what: 'paste' | 'scan' | 'usual') => void;
  onChoose: (id: string) => void;
  onHygiene: (step: HygieneStep) => void;
  onPackAll: () => void;
}) {
  const plays = usePlays();
  const packed = view.lines.filter(({ packages }) => packages !== null);
  return (
    <section aria-label="Lines" className="space-y-3">
      <div className="flex gap-2">
        <button type="button" className="button flex-1 px-2" onClick={() => onShow('paste')}>
          <ReceiptText aria-hidden size={18} /> Receipt
        </button>
        {plays && (
          <button type="button" className="button flex-1 px-2" onClick={() => onShow('scan')}>
            <ScanLine aria-hidden size={18} /> Scan
          </button>
        )}
        <button type="button" className="button flex-1 px-2" onClick={() => onShow('usual')}>
          <ListPlus aria-hidden size={18} /> Usual
        </button>
      </div>
      {view.lines.length === 0 ? (
        <div className="card space-y-2 p-4">
          <p className="text-lg">One line for each thing on the counter.</p>
          <p className="text-slate">
            Type into the quick line at the foot, such as{' '}
            <b>
              <Said>haddock 1.2 kg / 2, half freeze</Said>
            </b>
            , or paste, scan or pick.
          </p>
          <button
            type="button"
            className="button"
            data-main="true"
            onClick={() => document.getElementById('quick-line')?.focus()}
          >
            Type the first line
          </button>
        </div>
      ) : (
        <HaulLines
          open={open}
          packed={packed}
          packs={view.packs}
          chosen={chosen}
          currency={vocabulary.currency}
          foodOf={(id) => vocabulary.foods.byId.get(id)}
          onChoose={onChoose}
        />
      )}
      {hygiene && (
        <div role="status" className="card space-y-2 border-honey p-3">
          <p>{hygiene.says}</p>
          <button type="button" className="button" onClick={() => onHygiene(hygiene)}>
            Done
          </button>
        </div>
      )}
      {open.length > 1 && (
        <button type="button" className="button w-full" disabled={busy} onClick={onPackAll}>
          Label all {open.length} as they are
        </button>
      )}
      {open.length > 0 && (
        <p className="text-[0.9375rem] text-slate">
          In the order of work: what presses, quick chills, then raw meat last, so that the board is scrubbed
          once.
        </p>
      )}
    </section>
  );
}
