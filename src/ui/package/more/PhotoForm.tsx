'use client';

import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { useDoor } from '../../door/useDoor';
import { sendPicture } from '../../photo/sendPicture';

/** A photo of the package, from the phone's camera or a file; it may be taken off again. */
export function PhotoForm({ detail }: { detail: PackageDetail }) {
  const { act, busy, tell } = useDoor();
  const [sending, setSending] = useState(false);
  const onIt = { type: 'package.picture', package: detail.id, version: detail.version };
  const put = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setSending(true);
    try {
      const { id } = await sendPicture<{ id: string }>('/api/v1/photos', file);
      await act({ ...onIt, photo: id });
    } catch (error) {
      tell(error instanceof Error ? error.message : 'That photo could not be kept.', 'error');
    } finally {
      setSending(false);
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      {detail.photo !== null && (
        <img
          src={`/api/v1/photos/${detail.photo}`}
          alt={`Photo of ${detail.food.name} ${detail.code}`}
          className="max-h-72 rounded-card border border-line"
        />
      )}
      <label className="button inline-flex cursor-pointer items-center gap-2">
        <Camera aria-hidden size={20} />
        {sending ? 'Sending …' : detail.photo === null ? 'Put a photo to it' : 'Another photo'}
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          disabled={busy || sending}
          onChange={(event) => void put(event.target.files?.[0])}
        />
      </label>
      {detail.photo !== null && (
        <button
          type="button"
          className="button"
          disabled={busy}
          onClick={() => void act({ ...onIt, photo: null })}
        >
          Take the photo off
        </button>
      )}
    </div>
  );
}
