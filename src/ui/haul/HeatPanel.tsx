'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Food } from '@/core/model/food';
import { gramsOf, layoutShape, type PackLayout } from '@/core/portions/packLayout';
import type { HeatAnswer, HeatCase } from '@/core/thermal/heatHours';
import { FREEZE_MEDIA, THAW_MEDIA } from '@/core/thermal/heatMedia';
import { thermalFood } from '@/core/thermal/thermalFood';
import { isWholeBird } from '@/core/foods/foodKinds';
import type { AmountUnit } from '@/core/units/sayAmount';
import { sayHours, useHeat } from './useHeat';

const HeatCurve = dynamic(() => import('../chart/HeatCurve').then((module) => module.HeatCurve), {
  loading: () => <p className="text-slate">Drawing …</p>,
});

const CHILLED_C = 4;
const FROZEN_C = -18;

function casesOf(food: Food, grams: number, layout: PackLayout): HeatCase[] {
  const base = {
    food: thermalFood(food),
    massG: grams,
    shape: layoutShape(layout),
    wholeBird: isWholeBird(food),
  };
  const thaw = (medium: (typeof THAW_MEDIA)['fridge' | 'cold-water-changed']): HeatCase => ({
    ...base,
    way: 'thaw',
    startC: FROZEN_C,
    medium,
    ambientC: medium.ambientC,
  });
  const { still } = FREEZE_MEDIA;
  const side = (grams / food.densityKgPerL / 2.8) ** (1 / 3) * 10;
  return [
    { ...base, way: 'freeze', startC: CHILLED_C, medium: still, ambientC: still.ambientC },
    thaw(THAW_MEDIA.fridge),
    thaw(THAW_MEDIA['cold-water-changed']),
    {
      ...thaw(THAW_MEDIA.fridge),
      shape: { kind: 'block', lengthMm: 2 * side, widthMm: 1.4 * side, heightMm: side },
    },
  ];
}

/** Typical hours in words; an answer that is still to come, or that there is none. */
const typical = (answer: HeatAnswer | null | undefined): string =>
  sayHours(answer === undefined ? undefined : (answer?.hoursTypical ?? null));

/** What a pack of this shape needs in and out of the freezer, from heat transfer; the curve when asked for. */
export function HeatPanel({
  food,
  amount,
  unit,
  layout,
  frozen,
}: {
  /** It came in frozen: it needs no hours to freeze. */
  frozen: boolean;
  food: Food;
  amount: number;
  unit: AmountUnit;
  layout: PackLayout;
}) {
  const [shown, setShown] = useState(false);
  const grams = Math.max(1, Math.round(gramsOf(amount, unit, food.densityKgPerL)));
  const [freeze, fridge, water, block] = useHeat(casesOf(food, grams, layout));
  const rows = [
    frozen ? ['freezing', 'none', 'it came in frozen'] : ['freezes solid', typical(freeze), 'laid apart'],
    ['thaws, fridge', typical(fridge), fridge ? `plan for ${sayHours(fridge.hoursCautious)}` : ''],
    ['thaws, water', typical(water), 'tight bag, cook at once'],
    ...(layout.kind === 'lump' || layout.kind === 'round'
      ? []
      : [['as one block', typical(block), 'in the fridge']]),
  ];
  return (
    <div aria-live="polite">
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        {rows.map(([what, hours, more]) => (
          <div key={what} className="contents">
            <dt className="text-slate">{what}</dt>
            <dd>
              <b className="font-heading">{hours}</b>
              {more !== '' && <span className="text-slate">, {more}</span>}
            </dd>
          </div>
        ))}
      </dl>
      <button
        type="button"
        className="date-button mt-1 min-h-11 text-[0.9375rem] text-deep"
        aria-expanded={shown}
        onClick={() => setShown(!shown)}
      >
        {shown ? 'Hide the curve' : 'Show the curve'}
      </button>
      {shown && freeze && fridge && <HeatCurve freeze={freeze} thaw={fridge} />}
    </div>
  );
}
