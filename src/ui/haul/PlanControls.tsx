'use client';

import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import type { Food } from '@/core/model/food';
import type { HaulLine, HaulPart } from '@/core/model/haul';
import { countPacks, splitLine } from '@/core/haul/planLine';
import type { PortionPlan } from '@/core/portions/packCount';
import {
  APPETITES,
  type Appetite,
  portionGrams,
  type PortionPurpose,
  PURPOSES,
} from '@/core/portions/portionGrams';
import { gramsOf } from '@/core/portions/packLayout';
import { sayAmount } from '@/core/units/sayAmount';
import { typedIn } from '@/core/units/typedIn';
import { Said } from '../units/Said';
import { useSay } from '../units/useSay';
import { useWording } from '../units/useWording';

const WAYS = [
  ['packs', 'by packs'],
  ['size', 'by size'],
  ['eaters', 'by eaters'],
] as const;
type Way = (typeof WAYS)[number][0];
const SLIDER_MOST = 20;

/** Into how many packs: by number, by size, or by who eats; shows both neighbours. */
export function PlanControls({
  line,
  food,
  onParts,
  onLine,
}: {
  line: HaulLine;
  food: Food;
  onParts: (parts: HaulPart[]) => void;
  onLine: (changes: Partial<HaulLine>) => void;
}) {
  const say = useSay();
  const wording = useWording();
  const sizeField = line.unit === 'pc' ? null : typedIn(line.unit, wording);
  const sizeOf = (text: string): number => (sizeField ? sizeField.read(text) : Number(text));
  const [way, setWay] = useState<Way>('packs');
  const [size, setSize] = useState('');
  const [eaters, setEaters] = useState('4');
  const [appetite, setAppetite] = useState<Appetite>('usual');
  const [purpose, setPurpose] = useState<PortionPurpose>('main');
  const count = countPacks(line);
  const plan = (next: PortionPlan): void => onParts(splitLine(line, next, food));
  const [asked, setAsked] = useState(1);
  const byPacks = (packs: number): void => {
    if (!Number.isInteger(packs) || packs < 1) return;
    setAsked(packs);
    plan({ packs });
  };
  const byEaters = (number: number, how: Appetite, what: PortionPurpose): void => {
    if (!Number.isInteger(number) || number < 1 || number > 50) return;
    const meal = number * portionGrams(food.group, how, what);
    const grams = gramsOf(line.amount, line.unit, food.densityKgPerL);
    byPacks(Math.max(1, Math.round(grams / meal)));
  };
  const fault =
    way === 'eaters' && !(Number(eaters) >= 1 && Number(eaters) <= 50 && Number.isInteger(Number(eaters)))
      ? 'How many eat of it? 1 to 50.'
      : way === 'size' && size !== '' && !(sizeOf(size) >= 1)
        ? 'How much goes into a pack? A number.'
        : asked > line.amount
          ? `${sayAmount(line.amount, line.unit)} does not make ${asked} packs.`
          : line.pieces !== null && asked > line.pieces
            ? `${line.pieces} pieces do not make ${asked} packs.`
            : '';
  const each = Math.round(line.amount / count);
  return (
    <fieldset className="space-y-2">
      <legend className="sr-only">Into packs</legend>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <label>
          <span className="sr-only">Split by</span>
          <select
            className="field w-auto"
            value={way}
            onChange={(event) => setWay(event.target.value as Way)}
          >
            {WAYS.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </select>
        </label>
        {way === 'packs' && (
          <div className="flex items-center gap-1.5">
            <button
              type="button"
              className="button px-2"
              aria-label="One pack fewer"
              disabled={count <= 1}
              onClick={() => byPacks(count - 1)}
            >
              <Minus aria-hidden size={18} />
            </button>
            <label>
              <span className="sr-only">Packs</span>
              <input
                className="field w-14 px-1 text-center font-heading text-lg font-semibold"
                inputMode="numeric"
                value={count}
                onChange={(event) => byPacks(Number(event.target.value.replace(/\D/g, '').slice(-3)))}
              />
            </label>
            <button
              type="button"
              className="button px-2"
              aria-label="One pack more"
              onClick={() => byPacks(count + 1)}
            >
              <Plus aria-hidden size={18} />
            </button>
            <label className="hidden sm:block">
              <span className="sr-only">Packs, by sliding</span>
              <input
                type="range"
                min={1}
                max={Math.max(SLIDER_MOST, count)}
                value={count}
                className="h-11 w-24 accent-[var(--deep)]"
                onChange={(event) => byPacks(Number(event.target.value))}
              />
            </label>
          </div>
        )}
        {way === 'size' && (
          <label>
            <span className="sr-only">{sizeField?.unit ?? 'Pieces'} a pack</span>
            <input
              className="field w-28"
              inputMode="numeric"
              value={size}
              placeholder={sizeField ? `${sizeField.show(each)} ${sizeField.unit}` : String(each)}
              onChange={(event) => {
                setSize(event.target.value);
                const wanted = sizeOf(event.target.value);
                if (wanted >= 1) byPacks(Math.max(1, Math.round(line.amount / wanted)));
              }}
            />
          </label>
        )}
        {way === 'eaters' && (
          <>
            <label>
              <span className="sr-only">Eaters</span>
              <input
                className="field w-20"
                inputMode="numeric"
                value={eaters}
                aria-invalid={fault !== ''}
                onChange={(event) => {
                  setEaters(event.target.value);
                  byEaters(Number(event.target.value), appetite, purpose);
                }}
              />
            </label>
            <label>
              <span className="sr-only">Appetite</span>
              <select
                className="field w-auto"
                value={appetite}
                onChange={(event) => {
                  const how = event.target.value as Appetite;
                  setAppetite(how);
                  byEaters(Number(eaters), how, purpose);
                }}
              >
                {APPETITES.map((how) => (
                  <option key={how} value={how}>
                    {say(`${how}, ${portionGrams(food.group, how, purpose)} g`)}
                  </option>
                ))}
              </select>
            </label>
            <label>
              <span className="sr-only">For what</span>
              <select
                className="field w-auto"
                value={purpose}
                onChange={(event) => {
                  const what = event.target.value as PortionPurpose;
                  setPurpose(what);
                  byEaters(Number(eaters), appetite, what);
                }}
              >
                {Object.keys(PURPOSES).map((what) => (
                  <option key={what} value={what}>
                    {what}
                  </option>
                ))}
              </select>
            </label>
          </>
        )}
        {line.unit !== 'pc' && (
          <label>
            <span className="sr-only">Pieces in all</span>
            <input
              className="field w-24"
              inputMode="numeric"
              placeholder="pieces"
              value={line.pieces ?? ''}
              onChange={(event) => {
                const told = Number(event.target.value.replace(/\D/g, ''));
                const pieces = told >= 1 ? Math.min(2000, told) : null;
                onLine({ pieces, parts: splitLine({ ...line, pieces }, { packs: count }, food) });
              }}
            />
          </label>
        )}
      </div>
      {fault !== '' && (
        <p role="alert" className="text-beet">
          <Said>{fault}</Said>
        </p>
      )}
    </fieldset>
  );
}
