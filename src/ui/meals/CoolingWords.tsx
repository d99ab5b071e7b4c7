'use client';

import { useDeferredValue, useMemo } from 'react';
import type { Food } from '@/core/model/food';
import { COOLING_H, coolingHours, flatBoxOf, potOf } from '@/core/thermal/coolingHours';
import { thermalFood } from '@/core/thermal/thermalFood';
import { useSay } from '../units/useSay';

const SHALLOW_MM = 20;
const sayHours = (hours: number | null): string =>
  hours === null ? 'days' : hours < 10 ? `${Math.ceil(hours * 2) / 2} h` : `${Math.ceil(hours)} h`;

/** How long what is put by takes to cool as it stands in its pot and in shallow boxes, and by when it should be cold. */
export function CoolingWords({ food, grams, packs }: { food: Food; grams: number; packs: number }) {
  const say = useSay();
  const asked = useDeferredValue(grams);
  const [pot, box] = useMemo(() => {
    const made = thermalFood(food);
    const each = asked / packs;
    return [
      coolingHours(made, potOf(asked), asked),
      coolingHours(made, flatBoxOf(each, SHALLOW_MM), each),
    ] as const;
  }, [food, asked, packs]);
  return (
    <p>
      {say(
        `Cold in time: its middle within ${COOLING_H.to21} h at 21 °C and within ${COOLING_H.to5} h at 5 °C. ` +
          `In one pot in the fridge it takes ${sayHours(pot.to21H)} and ${sayHours(pot.to5H)}; ` +
          `filled ${SHALLOW_MM / 10} cm deep ${sayHours(box.to21H)} and ${sayHours(box.to5H)}. ` +
          `${pot.inTime ? '' : 'Set the pot in cold water and stir it, or fill it shallow, lids ajar until cold. '}` +
          'Longer is not for keeping. Dated from today.',
      )}
    </p>
  );
}
