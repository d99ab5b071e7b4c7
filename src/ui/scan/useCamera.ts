'use client';

import { type RefObject, useEffect, useState } from 'react';

/** Why there is no picture. */
export type NoCamera = 'none' | 'refused' | null;

/** Fetches the decoder only when something is scanned. */
const decoder = async () => {
  const { BrowserMultiFormatReader } = await import('@zxing/browser');
  return new BrowserMultiFormatReader();
};

/** The code on a photo; `null`: none could be read. */
export async function readPhoto(photo: File): Promise<string | null> {
  const url = URL.createObjectURL(photo);
  try {
    const reader = await decoder();
    return (await reader.decodeFromImageUrl(url)).getText();
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Shows the device's camera in a video and tells every code it reads, until it goes. */
export function useCamera(
  video: RefObject<HTMLVideoElement | null>,
  onCode: (code: string) => void,
): NoCamera {
  const [fault, setFault] = useState<NoCamera>(null);
  useEffect(() => {
    let over = false;
    let stop: (() => void) | null = null;
    const begin = async (): Promise<void> => {
      // Browsers give a camera to pages of this machine, and over https.
      if (!('mediaDevices' in navigator)) return setFault('none');
      try {
        const reader = await decoder();
        if (over || !video.current) return;
        const controls = await reader.decodeFromConstraints(
          { video: { facingMode: 'environment' } },
          video.current,
          (result) => result && onCode(result.getText()),
        );
        if (over) controls.stop();
        else stop = () => controls.stop();
      } catch (error) {
        const refused = error instanceof DOMException && error.name === 'NotAllowedError';
        if (!over) setFault(refused ? 'refused' : 'none');
      }
    };
    void begin();
    return () => {
      over = true;
      stop?.();
    };
  }, [video, onCode]);
  return fault;
}
