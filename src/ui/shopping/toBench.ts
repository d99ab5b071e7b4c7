import { v4 as newUuid } from 'uuid';
import type { Haul } from '@/core/model/haul';
import type { HaulView } from '@/services/haul/haul';
import type { ShoppingLineView } from '@/services/shopping/shopping';
import type { NewCommand } from '../door/doorClient';
import { newLines } from '../haul/newLines';
import type { KnownVocabulary } from '../quickline/useVocabulary';

/** Commands that bring what was bought to the bench, begin its haul when none is open, and take it off the list. */
export function toBench(
  bought: readonly ShoppingLineView[],
  view: HaulView,
  vocabulary: KnownVocabulary,
): NewCommand[] {
  const begun = {
    name: 'Shop',
    leftAt: view.now,
    coldBag: false,
    hot: false,
    fastFreeze: false,
    hygiene: [],
  };
  const haul: Haul = view.haul ?? {
    ...begun,
    id: newUuid(),
    begunAt: view.now,
    outSince: view.now,
    closedAt: null,
  };
  const { now, today } = view;
  const taken = bought.flatMap(({ line, usual }) => {
    const size = line.size ?? usual ?? { amount: 1, unit: 'pc' as const };
    if (line.food === null) return [];
    const { food, called, packs } = line;
    return [
      {
        half: false,
        line: {
          ...{ food, called, packs, unit: size.unit, amount: size.amount * packs },
          ...{ form: null, wrap: null, priceMinor: null, zone: null, printed: null, note: '' },
          ...{ start: { did: 'bought' as const, on: today }, openedOn: null, frozenOn: null, blanched: true },
        },
      },
    ];
  });
  const { commands } = newLines(taken, haul, view, vocabulary, now);
  return [
    ...(view.haul ? [] : [{ type: 'haul.begin', haul: { ...begun, id: haul.id } }]),
    ...commands,
    { type: 'shopping.clear', lines: bought.map(({ line }) => line.id) },
  ];
}
