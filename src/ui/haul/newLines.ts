import { v4 as newUuid } from 'uuid';
import type { Haul, HaulLine } from '@/core/model/haul';
import { halve, partsOf, splitAsLast } from '@/core/haul/planLine';
import type { HaulView } from '@/services/haul/haul';
import type { NewCommand } from '../door/doorClient';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import type { TakenLine } from './haulIntake';

/** What came in with the haul left the cold with it; what is told an hour later came out of the fridge just now. */
const WITH_HAUL_MS = 60 * 60_000;

function outSinceOf({ line }: TakenLine, { begunAt, outSince }: Haul, now: string): string {
  const late = Date.parse(now) - Date.parse(begunAt) > WITH_HAUL_MS;
  return late || line.start.did === 'cooked' ? now : outSince;
}

/** Commands that put lines onto the bench, split as the food was split the last time when nobody says otherwise. */
export function newLines(
  taken: readonly TakenLine[],
  haul: Haul,
  view: HaulView,
  vocabulary: KnownVocabulary,
  now: string,
): { commands: NewCommand[]; ids: string[] } {
  const after = Math.max(-1, ...view.lines.map(({ position }) => position)) + 1;
  const lines = taken.flatMap((one, at) => {
    const food = vocabulary.foods.byId.get(one.line.food);
    if (!food) return [];
    const { line, half } = one;
    const zone = vocabulary.zones.find(({ id }) => id === line.zone);
    const told: Omit<HaulLine, 'packages' | 'version'> = {
      id: newUuid(),
      haul: haul.id,
      position: after + at,
      food: line.food,
      called: line.called,
      amount: line.amount,
      unit: line.unit,
      pieces: null,
      priceMinor: line.priceMinor,
      start: line.start,
      printed: line.printed,
      openedOn: line.openedOn,
      parts: partsOf(line, food, zone?.cold ?? null),
      preparation: line.blanched ? [] : ['raw-frozen'],
      timers: [],
      cooking: line.note,
      byEye: false,
      stoodMinutes: 0,
      outSince: outSinceOf(one, haul, now),
    };
    const last = view.last_split[line.food];
    const silent = line.packs === 1 && line.form === null && line.wrap === null && line.zone === null;
    const parts = half ? halve(told, food) : last && silent ? splitAsLast(told, last) : told.parts;
    return [{ ...told, parts }];
  });
  return {
    commands: lines.map((line) => ({ type: 'haul.line', line, version: null })),
    ids: lines.map(({ id }) => id),
  };
}
