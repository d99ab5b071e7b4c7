'use client';

import { openFind } from '../find/openFind';

/** Finds it by its name instead. */
export function UnknownCode() {
  return (
    <button type="button" className="button" data-main="true" onClick={() => openFind()}>
      Find it, or scan again
    </button>
  );
}
