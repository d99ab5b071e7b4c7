'use client';

import { useState } from 'react';
import { Sheet } from '../door/Sheet';

/** The photos of a haul's receipt; of an open haul they may be taken off. */
export function ReceiptPhotos({
  receipts,
  name,
  onTakeOff,
}: {
  receipts: readonly string[];
  /** What the haul is called. */
  name: string;
  onTakeOff?: (left: string[]) => void;
}) {
  return (
    <ul className="space-y-4">
      {receipts.map((id, at) => (
        <li key={id} className="space-y-2">
          <a href={`/api/v1/photos/${id}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/v1/photos/${id}`}
              alt={`Receipt of ${name}, photo ${at + 1}; opens large`}
              className="w-full rounded-part border border-line"
            />
          </a>
          {onTakeOff && (
            <button
              type="button"
              className="button"
              data-muted="true"
              onClick={() => onTakeOff(receipts.filter((one) => one !== id))}
            >
              Take this photo off
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The receipt of a haul that is over, one press away. */
export function ReceiptButton({ receipts, name }: { receipts: readonly string[]; name: string }) {
  const [open, setOpen] = useState(false);
  if (receipts.length === 0) return null;
  return (
    <>
      <button type="button" className="button" onClick={() => setOpen(true)}>
        Its receipt
      </button>
      {open && (
        <Sheet title={`Receipt of ${name}`} onClose={() => setOpen(false)}>
          <ReceiptPhotos receipts={receipts} name={name} />
        </Sheet>
      )}
    </>
  );
}
