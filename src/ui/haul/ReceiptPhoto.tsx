'use client';

import { useState } from 'react';
import { sendPicture } from '../photo/sendPicture';

/** A receipt is photographed, or a picture of it chosen; its words come back to be checked. */
export function ReceiptPhoto({ onRead }: { onRead: (text: string, photo: File) => void }) {
  const [says, setSays] = useState('');
  const [busy, setBusy] = useState(false);
  const read = async (file: File): Promise<void> => {
    setBusy(true);
    setSays('Reading the receipt …');
    try {
      const { text } = await sendPicture<{ text: string }>('/api/v1/haul/receipt', file);
      onRead(text, file);
      setSays('Read. Look at each line: a worn receipt is read wrongly now and then.');
    } catch (error) {
      setSays(error instanceof Error ? error.message : 'That did not work.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      <label className="button cursor-pointer focus-within:outline-3" aria-disabled={busy}>
        Photograph the receipt
        <input
          type="file"
          className="sr-only"
          accept="image/*"
          capture="environment"
          disabled={busy}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void read(file);
          }}
        />
      </label>
      <span role="status" className="min-w-0 flex-1">
        {says}
      </span>
    </div>
  );
}
