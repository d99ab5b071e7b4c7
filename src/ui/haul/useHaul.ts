'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { HaulLine } from '@/core/model/haul';
import type { HaulView } from '@/services/haul/haul';
import type { HaulPlacesView } from '@/services/haul/haulPlaces';
import { useDoor } from '../door/useDoor';
import { allAnswered, sendCommands } from '../door/sendCommands';
import { DoorError, fetchJson } from '../door/fetchJson';

const SAVE_MS = 350;
const LOOK_MS = 5000;
const PLACES_MS = 500;

/** A line without what only the ledger sets. */
function toldLine({ packages: _packages, version: _version, ...line }: HaulLine) {
  return line;
}

export interface HaulDesk {
  view: HaulView;
  places: HaulPlacesView;
  /** Something typed is not saved yet. */
  saving: boolean;
  /** Changes a line here at once, and behind the door shortly after. */
  change(line: HaulLine): void;
  /** Saves whatever waits, also from before a reload, then reads everything anew. */
  settle(): Promise<void>;
  /** How it stands now; `null` when it could not be read. Places follow shortly after. */
  reload(): Promise<HaulView | null>;
  readPlaces(): Promise<HaulPlacesView>;
}

/**
 * The open haul on this screen: shows a change at once, saves it a moment later, and looks every few seconds at what somebody
 * else did. A line that was changed on two screens is read anew, and says so.
 */
export function useHaul(first: HaulView, firstPlaces: HaulPlacesView): HaulDesk {
  const { tell } = useDoor();
  const [view, setView] = useState(first);
  const [places, setPlaces] = useState(firstPlaces);
  const [saving, setSaving] = useState(false);
  const unsaved = useRef(new Map<string, HaulLine>());
  const sending = useRef<Promise<void> | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const turn = useRef({ begun: 0, shown: 0 });

  const read = useCallback(async (): Promise<HaulView> => {
    const mine = ++turn.current.begun;
    const next = await fetchJson<HaulView>('/api/v1/haul');
    // Older than what is shown: asked before it, answered after it.
    if (mine < turn.current.shown) return next;
    turn.current.shown = mine;
    const lines = next.lines.map((line) => {
      const mine = unsaved.current.get(line.id);
      return mine ? { ...mine, version: line.version, packages: line.packages } : line;
    });
    setView({ ...next, lines });
    return next;
  }, []);

  const placesTurn = useRef({ begun: 0, shown: 0 });
  const readPlaces = useCallback(async () => {
    const mine = ++placesTurn.current.begun;
    const next = await fetchJson<HaulPlacesView>('/api/v1/haul/places');
    if (mine < placesTurn.current.shown) return next;
    placesTurn.current.shown = mine;
    setPlaces(next);
    return next;
  }, []);

  const reload = useCallback(async () => {
    try {
      return await read();
    } catch (error) {
      if (error instanceof DoorError) tell(error.message, 'error');
      return null;
    }
  }, [read, tell]);

  const send = useCallback(async (): Promise<void> => {
    while (sending.current) await sending.current;
    const waiting = [...unsaved.current.values()];
    if (waiting.length === 0) return;
    const work = (async () => {
      for (const line of waiting) {
        try {
          await sendCommands([{ type: 'haul.line', line: toldLine(line), version: line.version }]);
          const version = line.version + 1;
          turn.current.shown = turn.current.begun + 1;
          const later = unsaved.current.get(line.id);
          if (later === line) unsaved.current.delete(line.id);
          else if (later) unsaved.current.set(line.id, { ...later, version });
          setView((now) => ({
            ...now,
            lines: now.lines.map((one) => (one.id === line.id ? { ...one, version } : one)),
          }));
        } catch (error) {
          if (!(error instanceof DoorError)) throw error;
          // Refused: how it stands counts. What was not answered is asked again by the door itself.
          unsaved.current.delete(line.id);
          tell(error.message, 'error');
          await read().catch(() => undefined);
        }
      }
      setSaving(unsaved.current.size > 0);
    })();
    sending.current = work;
    try {
      await work;
    } finally {
      sending.current = null;
    }
  }, [read, tell]);

  const change = useCallback(
    (line: HaulLine) => {
      unsaved.current.set(line.id, line);
      setSaving(true);
      setView((now) => ({ ...now, lines: now.lines.map((one) => (one.id === line.id ? line : one)) }));
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(
        () =>
          void send()
            .then(readPlaces)
            .catch(() => undefined),
        SAVE_MS,
      );
    },
    [send, readPlaces],
  );

  const settle = useCallback(async () => {
    if (timer.current) clearTimeout(timer.current);
    await send();
    await allAnswered();
  }, [send]);

  useEffect(() => {
    const look = setInterval(() => {
      if (document.hidden || unsaved.current.size > 0) {
        if (unsaved.current.size > 0) void send();
        return;
      }
      read().catch(() => undefined);
    }, LOOK_MS);
    const keep = (): void => void send();
    window.addEventListener('pagehide', keep);
    return () => {
      clearInterval(look);
      window.removeEventListener('pagehide', keep);
    };
  }, [read, send]);

  // What the door did elsewhere on this page (an undo) comes with the page's own refresh.
  const begun = useRef(first);
  useEffect(() => {
    if (begun.current === first) return;
    begun.current = first;
    read().catch(() => undefined);
  }, [first, read]);

  const told = view.lines.map(({ id, version }) => `${id}${version}`).join();
  const packs = view.packs.filter(({ waiting }) => waiting).length;
  useEffect(() => {
    const soon = setTimeout(() => void readPlaces().catch(() => undefined), PLACES_MS);
    return () => clearTimeout(soon);
  }, [told, packs, readPlaces]);

  return { view, places, saving, change, settle, reload, readPlaces };
}
