'use client';

import { fillingOf, isPoured } from '@/core/foods/foodKinds';
import type { Food } from '@/core/model/food';
import type { IntakeLine } from '@/core/model/intakeLine';
import { fillLine } from '@/core/packaging/fillLine';
import { splitEvenly } from '@/core/portions/splitEvenly';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import { useSay } from '../units/useSay';
import { CoolingWords } from './CoolingWords';

/** A vessel is about so much larger than what goes in. */
const ROOM = 1.2;

/** What is put by of a meal, before it is: the packs, how far to fill them, what a portion cost, how it is warmed again, how it cools. */
export function PutWords({
  line,
  food,
  portion,
}: {
  line: IntakeLine;
  food: Food;
  portion: { minor: number; currency: string } | null;
}) {
  const say = useSay();
  const [each = line.amount] = splitEvenly(line.amount, line.packs);
  const fill =
    line.frozenOn !== null && isPoured(food) && line.unit !== 'pc'
      ? fillLine(
          { capacityMl: each * ROOM, mouth: 'wide', heightMm: null },
          fillingOf(food),
          food.composition.water,
        )
      : null;
  const warm =
    food.group === 'soup-sauce'
      ? 'Warmed again: once, until it boils.'
      : 'Warmed again: once, to 74 °C in the middle.';
  return (
    <div className="space-y-1">
      <p>
        <b className="font-heading">
          {line.called || food.name} {line.packs} × {say(sayAmount(each, line.unit))}
        </b>
        {portion && ` · about ${sayMoney(portion.minor, portion.currency)} a portion`}
        {fill && ` · fill to ${say(`${Math.ceil(fill.headspaceMm / 5) / 2} cm`)} under the rim: it grows`}
      </p>
      <p className="text-slate">{say(warm)}</p>
      {line.unit !== 'pc' && <CoolingWords food={food} grams={line.amount} packs={line.packs} />}
    </div>
  );
}
