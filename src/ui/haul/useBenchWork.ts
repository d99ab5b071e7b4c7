'use client';

import { type RefObject, useCallback, useEffect, useRef } from 'react';
import { indexFoods } from '@/core/foods/findFood';
import type { Food } from '@/core/model/food';
import type { Vocabulary } from '@/services/household/foods';
import type { Haul, HaulLine } from '@/core/model/haul';
import type { Strip } from '@/devices/labelPrinter';
import type { HaulView } from '@/services/haul/haul';
import type { PlaceView } from '@/services/haul/haulPlaces';
import { useDoor } from '../door/useDoor';
import { sendCommands } from '../door/sendCommands';
import { DoorError, fetchJson } from '../door/fetchJson';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import { datedByTurn } from './datedByTurn';
import { sendPicture } from '../photo/sendPicture';
import { newLines } from './newLines';
import type { TakenLine } from './haulIntake';
import type { HaulDesk } from './useHaul';

/** Makes the foods that lines bring with them, then names them in their lines. */
async function withOwnFoods(
  taken: readonly TakenLine[],
  vocabulary: KnownVocabulary,
): Promise<{ taken: readonly TakenLine[]; vocabulary: KnownVocabulary; made: boolean }> {
  const own = new Map(taken.flatMap(({ ownFood }) => (ownFood ? [[ownFood.name, ownFood] as const] : [])));
  if (own.size === 0) return { taken, vocabulary, made: false };
  await sendCommands([...own.values()].map((food) => ({ type: 'food.add', ...food })));
  const { foods } = await fetchJson<Vocabulary>('/api/v1/vocabulary');
  const idOf = new Map(foods.map(({ id, name }) => [name, id]));
  return {
    taken: taken.map((one) =>
      one.ownFood ? { ...one, line: { ...one.line, food: idOf.get(one.ownFood.name) ?? '' } } : one,
    ),
    vocabulary: { ...vocabulary, foods: indexFoods<Food>(foods) },
    made: true,
  };
}

/** What is done at the bench, each through the one door; whatever was typed is saved before. */
export function useBenchWork({
  desk,
  vocabulary,
  renew,
  now,
  print,
  byHand,
  onTaken,
  onPacked,
}: {
  desk: HaulDesk;
  vocabulary: KnownVocabulary | null;
  /** Reads the foods again. */
  renew: () => void;
  now: string;
  print: (strips: readonly Strip[]) => void;
  /** How often a line was chosen by hand. */
  byHand: RefObject<number>;
  /** A line was taken onto the bench; it is the one to work on. */
  onTaken: (id: string | null) => void;
  onPacked: (lines: ReadonlySet<string>) => void;
}) {
  const { act, tell } = useDoor();
  const { view, places, reload } = desk;
  const { haul } = view;
  const present = useRef({ view, vocabulary, renew, haul, now, onTaken });
  useEffect(() => {
    present.current = { view, vocabulary, renew, haul, now, onTaken };
  });

  const take = useCallback(
    async (taken: readonly TakenLine[]): Promise<boolean> => {
      const at = present.current;
      const before = byHand.current;
      if (!at.haul || !at.vocabulary) return false;
      try {
        const known = await withOwnFoods(taken, at.vocabulary);
        if (known.made) at.renew();
        const { commands, ids } = newLines(known.taken, at.haul, at.view, known.vocabulary, at.now);
        await sendCommands(commands);
        void reload().then(() => {
          // Who has gone on to another line meanwhile stays there.
          if (byHand.current === before) at.onTaken(ids.at(-1) ?? null);
        });
        return true;
      } catch (error) {
        if (error instanceof DoorError) tell(error.message, 'error');
        return false;
      }
    },
    [reload, tell, byHand],
  );

  const setHaul = async (changes: Partial<Haul>): Promise<void> => {
    try {
      await sendCommands([{ type: 'haul.set', haul: haul?.id, changes }]);
    } catch (error) {
      if (error instanceof DoorError) tell(error.message, 'error');
    }
    await reload();
  };

  const keepReceipt = async (photos: readonly File[]): Promise<void> => {
    try {
      const kept = await Promise.all(
        photos.map((photo) => sendPicture<{ id: string }>('/api/v1/haul/receipt/keep', photo)),
      );
      await setHaul({ receipts: [...(haul?.receipts ?? []), ...kept.map(({ id }) => id)] });
    } catch (error) {
      const why = error instanceof DoorError ? error.message : '';
      tell(`The lines are on the bench; the photo of the receipt was not kept. ${why}`, 'error');
    }
  };

  const pack = async (lines: readonly { id: string; discard?: boolean }[]): Promise<void> => {
    await desk.settle();
    // What the door knows counts: somebody else may have changed a line.
    const fresh = await fetchJson<HaulView>('/api/v1/haul').catch(() => view);
    const told = lines.flatMap(({ id, discard = false }) => {
      const line = fresh.lines.find((one) => one.id === id);
      return line ? [{ line: id, version: line.version, discard }] : [];
    });
    if (told.length === 0) return;
    const answer = await act({ type: 'haul.pack', haul: haul?.id, lines: told });
    const next = await reload();
    if (!answer || !next) return;
    const done = new Set(lines.map(({ id }) => id));
    onPacked(done);
    const later = await desk.readPlaces().catch(() => places);
    print(
      datedByTurn(next.packs, later)
        .filter((one) => done.has(one.line) && !one.gone)
        .map(({ id, label }) => ({ id, ...label })),
    );
  };

  const drop = async (line: HaulLine): Promise<void> => {
    await desk.settle();
    const version = present.current.view.lines.find(({ id }) => id === line.id)?.version ?? line.version;
    await act({ type: 'haul.drop', line: line.id, version });
    await reload();
  };

  const place = ({ place: one, zone }: { place: PlaceView; zone: string | null }): void => {
    const line = view.lines.find(({ id }) => id === one.line);
    if (!line) return;
    desk.change({
      ...line,
      parts: line.parts.map((part, at) => (at === one.part ? { ...part, zone } : part)),
    });
  };

  const finish = async (): Promise<void> => {
    await act({ type: 'haul.close', haul: haul?.id });
    await reload();
  };

  return { take, setHaul, keepReceipt, pack, drop, place, finish };
}
