'use client';

import { useState } from 'react';
import { LABEL_SIZES } from '@/core/labels/labelPlaces';
import { Sheet } from '../door/Sheet';
import { useDoor } from '../door/useDoor';
import { useHouse } from '../door/useHouse';

const KEPT = 'orderly-frost-label-size';

/** Chooses the stock and the first free sticker, then opens the sheet as PDF. */
export function LabelSheet({ codes, onClose }: { codes: string[]; onClose: () => void }) {
  const [sizeId, setSizeId] = useState(() => localStorage.getItem(KEPT) ?? 'sheet-21');
  const [start, setStart] = useState(1);
  const { codesLocal } = useHouse();
  const { act } = useDoor();
  const size = LABEL_SIZES.find(({ id }) => id === sizeId) ?? LABEL_SIZES[0];
  if (!size) return null;
  const slots = size.columns * size.rows;
  const address = `/api/v1/labels?codes=${codes.join(',')}&size=${size.id}&start=${size.kind === 'roll' ? 1 : start}`;
  return (
    <Sheet
      title={codes.length === 1 ? `A label for ${codes[0]}` : `Labels for ${codes.length} packages`}
      onClose={onClose}
    >
      <div className="space-y-5">
        {codesLocal && (
          <p className="rounded-part bg-tape px-3 py-2 text-tape-ink">
            The squares on these labels open on this computer only, not on a phone. The four letters and
            figures beside them can be typed anywhere. How phones get in stands in the README, “On the home
            network”.
          </p>
        )}
        <label className="block">
          <span className="mb-1 block font-semibold">Stickers</span>
          <select
            className="field"
            value={size.id}
            onChange={(event) => {
              setSizeId(event.target.value);
              setStart(1);
              localStorage.setItem(KEPT, event.target.value);
            }}
          >
            {LABEL_SIZES.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
        {size.kind === 'sheet' && (
          <fieldset>
            <legend className="mb-1 font-semibold">First free sticker on the sheet</legend>
            <div
              className="grid max-w-72 gap-1 rounded-part border border-line bg-rime p-2"
              style={{ gridTemplateColumns: `repeat(${size.columns}, 1fr)` }}
            >
              {Array.from({ length: slots }, (_, at) => at + 1).map((slot) => (
                <button
                  key={slot}
                  type="button"
                  aria-pressed={slot === start}
                  aria-label={`Begin at sticker ${slot}`}
                  onClick={() => setStart(slot)}
                  className={`min-h-11 cursor-pointer rounded border text-[0.95rem] ${
                    slot >= start && slot < start + codes.length
                      ? 'border-tape-edge bg-tape font-semibold text-tape-ink'
                      : slot < start
                        ? 'border-line text-slate-deep line-through'
                        : 'border-line bg-snow'
                  }`}
                >
                  {slot}
                </button>
              ))}
            </div>
          </fieldset>
        )}
        <a
          className="button"
          data-main="true"
          href={address}
          target="_blank"
          rel="noreferrer"
          onClick={() => void act({ type: 'labels.print', codes })}
        >
          Open the sheet (PDF)
        </a>
        <p className="text-slate">
          Print at 100 %, without fitting to the page, so that the stickers meet their places.
        </p>
      </div>
    </Sheet>
  );
}
