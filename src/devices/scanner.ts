/** One picture of a camera: what could be read in it, if anything. */
export interface Frame {
  /** Milliseconds. */
  at: number;
  code: string | null;
}

/** A code was read and is meant. */
export interface Scan {
  code: string;
  kind: 'ean' | 'package' | 'other';
}

/** A camera that shows what is held before it. */
export interface Scanner {
  frame(): Frame;
}

/** What one can do to the simulated camera. */
export interface ScannerPlay {
  /** Holds a code before it; `null` takes it away. */
  hold(code: string | null): void;
  unplug(): void;
  plug(): void;
}

/** Share of the pictures that are blurred, and that are misread in one digit. */
const BLURRED = 0.4;
const MISREAD = 0.1;

/** A camera-like feed: some pictures are blurred, some misread. @param chance from 0 to 1 */
export function simulatedScanner(now: () => number, chance: () => number): Scanner & ScannerPlay {
  let held: string | null = null;
  let plugged = true;
  return {
    frame() {
      const at = now();
      if (!plugged || held === null || chance() < BLURRED) return { at, code: null };
      if (chance() >= MISREAD) return { at, code: held };
      const place = Math.floor(chance() * held.length);
      return { at, code: held.slice(0, place) + String(Math.floor(chance() * 10)) + held.slice(place + 1) };
    },
    hold(code) {
      held = code;
    },
    unplug() {
      plugged = false;
    },
    plug() {
      plugged = true;
    },
  };
}

/** True for 8 or 13 digits whose check digit is right. */
export function isEan(code: string): boolean {
  if (!/^(\d{8}|\d{13})$/.test(code)) return false;
  const sum = [...code].reverse().reduce((all, digit, at) => all + Number(digit) * (at % 2 === 0 ? 1 : 3), 0);
  return sum % 10 === 0;
}

/** A label of ours: its code alone, or its address, with the key for who is no member behind it. */
const PACKAGE = /(?:^|\/p\/)([A-HJ-NP-Z]{2}[2-9]{2,5})(?:\?g=[\w-]+)?$/;

function toScan(code: string): Scan | null {
  const ours = PACKAGE.exec(code);
  if (ours?.[1]) return { code: ours[1], kind: 'package' };
  if (/^\d+$/.test(code)) return isEan(code) ? { code, kind: 'ean' } : null;
  return { code, kind: 'other' };
}

/** The same code is meant again only after it was out of sight for so long, ms. */
const AWAY_MS = 1500;

/**
 * Reads codes from pictures: two alike in a row, check digit right, and each code once while it is held there.
 */
export function codeReader(): { see(frame: Frame): Scan | null } {
  let last: string | null = null;
  let told: { code: string; seenAt: number } | null = null;
  return {
    see({ at, code }) {
      if (code === null) return null;
      const twice = code === last;
      last = code;
      if (!twice) return null;
      if (told?.code === code && at - told.seenAt < AWAY_MS) {
        told.seenAt = at;
        return null;
      }
      const scan = toScan(code);
      if (scan) told = { code, seenAt: at };
      return scan;
    },
  };
}
