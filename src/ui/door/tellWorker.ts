import { TOLD } from '@/workers/nothingOlder';

/** Something was told here or elsewhere: what this device read before is old. Without a worker nothing is kept. */
export const tellWorker = (): void => {
  if ('serviceWorker' in navigator) navigator.serviceWorker.controller?.postMessage(TOLD);
};
